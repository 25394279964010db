/** What terms search for, as it crosses the wire. */
import { MAX_NEAR_DISTANCE, MAX_TERM_LENGTH, TERM_FIELDS } from '@even-lantern/core';
import Joi from 'joi';

const headingContent = Joi.object({
  kind: Joi.string().valid('heading').required(),
  vocabulary: Joi.string().min(1).max(200).required(),
  label: Joi.string()
    .min(1)
    .max(500)
    // No pattern, since published schemas have it and validators in other languages cannot read classes of letters.
    .custom((label: string, { error }) => (/[\p{L}\p{N}]/u.test(label) ? label : error('label.bare')))
    .required()
    .messages({ 'label.bare': 'A heading has at least one letter or digit.' }),
  narrower: Joi.alternatives(
    Joi.boolean(),
    Joi.array().items(Joi.string().min(1).max(500)).max(1000).unique(),
  ).required(),
  central: Joi.boolean().required(),
  subheadings: Joi.array().items(Joi.string().min(1).max(200)).max(50).required(),
});

const EMPTY_TERM = 'This term is empty. Write a word or a phrase.';

const wordsContent = Joi.object({
  kind: Joi.string().valid('words').required(),
  text: Joi.string()
    .min(1)
    .max(MAX_TERM_LENGTH)
    .required()
    .pattern(/\S/)
    .messages({
      'string.empty': EMPTY_TERM,
      'string.pattern.base': EMPTY_TERM,
      'string.max': `A term has at most ${MAX_TERM_LENGTH} characters. Split it into several terms.`,
    }),
  field: Joi.string()
    .valid(...TERM_FIELDS)
    .required(),
  near: Joi.number().integer().min(1).max(MAX_NEAR_DISTANCE).allow(null).required(),
});

export const termContent = Joi.alternatives().conditional(Joi.object({ kind: 'heading' }).unknown(), {
  then: headingContent,
  otherwise: wordsContent,
});
