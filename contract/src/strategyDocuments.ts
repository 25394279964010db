/** A strategy as a file, as it is read back. */
import { STRATEGY_FORM, type StrategyDocument } from '@even-lantern/core';
import Joi from 'joi';
import { LONGEST_SAVED_LINE_TEXT } from './lineTexts.js';
import { limitDocument, MOST_LIMITS } from './limits.js';
import { MOST_OWN_LINES, ownLineDocument } from './ownLines.js';
import { laneDocument } from './reviews.js';

const MOST_LANES_IN_FILE = 50;
const MOST_WRITTEN = 5000;
const place = Joi.string().pattern(/^(?:(?:lane|own|limit):\d{1,4}|term:\d{1,4}\.\d{1,5}|whole)$/);

/** What came of reading a strategy. */
export interface StrategyRead {
  terms: number;
  /** terms that were in their lane already */
  present: number;
  ownLines: number;
  limits: number;
  written: number;
}

export const strategySchema = Joi.object<StrategyDocument>({
  form: Joi.string()
    .valid(STRATEGY_FORM)
    .required()
    .messages({
      'any.only': `This is not a file of a strategy of the form ${STRATEGY_FORM}.`,
      'any.required': `This is not a file of a strategy: “form” should be ${STRATEGY_FORM}.`,
    }),
  title: Joi.string().allow('').max(300).required(),
  lanes: Joi.array().items(laneDocument).max(MOST_LANES_IN_FILE).required(),
  ownLines: Joi.array().items(ownLineDocument).max(MOST_OWN_LINES).required(),
  limits: Joi.array().items(limitDocument).max(MOST_LIMITS).required(),
  written: Joi.array()
    .items(
      Joi.object({
        database: Joi.string().max(200).required(),
        line: place.required(),
        language: Joi.string().valid('own', 'cql').required(),
        text: Joi.string().max(LONGEST_SAVED_LINE_TEXT).required(),
        refersTo: Joi.object()
          .pattern(/^\d{1,6}$/, Joi.string().max(200))
          .required(),
      }),
    )
    .max(MOST_WRITTEN)
    .required(),
});
