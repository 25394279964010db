/** Lines that people write beside those of the lanes, once for all databases. */
import { OWN_LINE_ROLES, type OwnLine } from '@even-lantern/core';
import Joi from 'joi';

/** A review has at most so many lines of its people’s own. */
export const MOST_OWN_LINES = 300;
/** Characters of the text of one. */
export const LONGEST_OWN_LINE = 20_000;

export interface ReviewOwnLine extends OwnLine {
  /** when it was last changed, and by whom */
  changedAt: string;
  changedBy: string;
  /** raised by every change; sent back as If-Match */
  version: number;
}

export type NewOwnLine = Pick<OwnLine, 'role' | 'text' | 'note'>;

/** Lines to add: all of them, or none. */
export interface NewOwnLines {
  lines: NewOwnLine[];
  /** before which they stand; null for the end */
  before: string | null;
}

export interface OwnLineChange extends Partial<Pick<OwnLine, 'role' | 'on' | 'text' | 'note'>> {
  /** moves it before this line; null moves it to the end */
  before?: string | null;
  /** true takes it away, false brings it back */
  removed?: boolean;
}

/** Makes two lines one: the other is taken away, and what referred to it refers to this one. */
export interface OwnLineMerge {
  other: string;
  /** the version of the other line */
  version: number;
  operator: 'and' | 'or';
}

const role = Joi.string().valid(...OWN_LINE_ROLES);
const text = Joi.string()
  .allow('')
  .max(LONGEST_OWN_LINE)
  .messages({ 'string.max': `A line has at most ${LONGEST_OWN_LINE} characters. Split it into several.` });
const note = Joi.string()
  .allow('')
  .max(1000)
  .messages({ 'string.max': 'A note has at most 1,000 characters.' });
const version = Joi.number().integer().min(1);

/** A line as it stands in a file. */
export const ownLineDocument = Joi.object({
  role: role.required(),
  on: Joi.boolean().required(),
  text: text.required(),
  note: note.required(),
});

export const newOwnLinesSchema = Joi.object<NewOwnLines>({
  lines: Joi.array()
    .items(Joi.object({ role: role.required(), text: text.required(), note: note.required() }))
    .min(1)
    .max(MOST_OWN_LINES)
    .required(),
  before: Joi.string().allow(null).required(),
});

export const ownLineChangeSchema = Joi.object<OwnLineChange>({
  role,
  on: Joi.boolean(),
  text,
  note,
  before: Joi.string().allow(null),
  removed: Joi.boolean(),
}).min(1);

export const ownLineMergeSchema = Joi.object<OwnLineMerge>({
  other: Joi.string().required(),
  version: version.required(),
  operator: Joi.string().valid('and', 'or').required(),
});
