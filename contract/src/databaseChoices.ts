import Joi from 'joi';

/** Whether a database is searched for a review, and why not, as somebody decided. */
export interface DatabaseChoice {
  database: string;
  chosen: boolean;
  note: string;
  at: string;
  person: string;
}

export interface ChoiceChange {
  chosen: boolean;
  note: string;
}

export const choiceChangeSchema = Joi.object<ChoiceChange>({
  chosen: Joi.boolean().required(),
  note: Joi.string().allow('').max(2000).required(),
});
