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

export const LONGEST_LINE_TEXT = 200_000;

export const lineConversionSchema = Joi.object<LineConversion>({
  database: Joi.string().required(),
  language: Joi.string().valid('own', 'cql').required(),
  text: Joi.string().allow('').max(LONGEST_LINE_TEXT).required(),
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
    .messages({ 'string.empty': 'Write something, or take what the lanes give.' }),
  version: Joi.number().integer().min(0).required(),
});
