import Joi from 'joi';

/** Writes a line of a strategy by hand for one database; without a text it is taken back to what the lanes give. */
export interface LineTextChange {
  database: string;
  /** `term:`, `lane:`, `limit:` or `own:` and its id, or `whole` */
  line: string;
  /** the database’s own dialect, or CQL */
  language: 'own' | 'cql';
  text: string | null;
  /** how often the line had been written when this was begun; 0 for never */
  version: number;
}

/** Asks how a text would stand in the other language of a database. */
export interface LineConversion {
  database: string;
  /** the language it is in */
  language: 'own' | 'cql';
  text: string;
  to: 'own' | 'cql';
}

/** In characters, of a line that is written by hand. */
export const LONGEST_LINE_TEXT = 50_000;
/** Those of strategies that were saved while lines could be longer. */
export const LONGEST_SAVED_LINE_TEXT = 200_000;

const TOO_LONG = 'A line has at most 50,000 characters. Make several terms or lines of it.';

export const lineConversionSchema = Joi.object<LineConversion>({
  database: Joi.string().required(),
  language: Joi.string().valid('own', 'cql').required(),
  text: Joi.string().allow('').max(LONGEST_LINE_TEXT).required().messages({ 'string.max': TOO_LONG }),
  to: Joi.string().valid('own', 'cql').required(),
});

/** A line by its key. */
export const lineKey = Joi.string().pattern(/^(?:(?:term|lane|limit|own):.{1,100}|whole)$/);

export const lineTextChangeSchema = Joi.object<LineTextChange>({
  database: Joi.string().required(),
  line: lineKey.required(),
  language: Joi.string().valid('own', 'cql').required(),
  text: Joi.string()
    .allow(null)
    .max(LONGEST_LINE_TEXT)
    .required()
    .messages({ 'string.empty': 'Write something, or take what the lanes give.', 'string.max': TOO_LONG }),
  version: Joi.number().integer().min(0).required(),
});
