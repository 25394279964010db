import Joi from 'joi';

/** One of the names of the tz database, as the machine knows them. */
function knownTimeZone(value: string, { message }: Joi.CustomHelpers<string>) {
  try {
    new Intl.DateTimeFormat('en', { timeZone: value });
    return value;
  } catch {
    return message({ custom: `“${value}” is no time zone. Write one such as Europe/Lisbon, or UTC.` });
  }
}

export const timeZoneSchema = Joi.string().max(80).custom(knownTimeZone);
