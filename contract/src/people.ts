import Joi from 'joi';

export interface Person {
  id: string;
  name: string;
}

export interface NewPerson {
  name: string;
}

const NAME_MISSING = 'Write your name, so that the ledger can say who ran a search.';

export const newPersonSchema = Joi.object<NewPerson>({
  name: Joi.string().trim().min(1).max(120).required().messages({
    'string.empty': NAME_MISSING,
    'any.required': NAME_MISSING,
  }),
});
