/** What values of columns have to be beside their types. Rows that come from elsewhere are held to it. */
import {
  DRIFT_REASONS,
  ELEMENT_KEYS,
  FRAMEWORKS,
  LIMIT_KINDS,
  LINES_FOR,
  OWN_LINE_ROLES,
  TERM_ORIGINS,
} from '@even-lantern/core';
import { limitValues, limitWays, recurrenceSchema, rungDocument, termContent } from '@even-lantern/contract';
import Joi from 'joi';
import type { ColumnCheck } from './description.js';

/** One of a few words. */
export const oneOf =
  (values: readonly string[]): ColumnCheck =>
  (value) =>
    values.includes(String(value)) ? null : `should be one of ${values.join(', ')}`;

/** A whole number from so many up. */
export const from =
  (least: number): ColumnCheck =>
  (value) =>
    Number.isSafeInteger(value) && Number(value) >= least
      ? null
      : `should be a whole number from ${least} up`;

/** A point in time as the program writes it, in UTC. */
export const instant: ColumnCheck = (value) =>
  /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?Z$/.test(String(value)) && !Number.isNaN(Date.parse(String(value)))
    ? null
    : 'should be a point in time in UTC, such as 2026-11-02T08:30:00.000Z';

const like =
  (schema: Joi.Schema): ColumnCheck =>
  (value) => {
    const { error } = schema.validate(value, { convert: false });
    return error === undefined ? null : `cannot be what it is: ${error.message.replace(/\.$/, '')}`;
  };

const text = Joi.string().allow('');
const texts = Joi.array().items(text);
const count = Joi.number().integer().min(0);
const key = text.max(400);
const all = (parts: Record<string, Joi.Schema>) =>
  Joi.object(parts).unknown().prefs({ presence: 'required' });
const optional = { presence: 'optional' } as const;

const term = all({
  id: key,
  content: termContent,
  origin: Joi.valid(...TERM_ORIGINS),
  heldBack: text.allow(null),
});
const limit = all({
  id: key,
  kind: Joi.valid(...LIMIT_KINDS.map(({ id }) => id)),
  values: limitValues.prefs(optional),
  reason: text,
  on: Joi.boolean(),
  ways: limitWays.prefs(optional),
});
const ownLine = all({ id: key, role: Joi.valid(...OWN_LINE_ROLES), on: Joi.boolean(), text, note: text });
const laneParts = { id: key, elementId: key.allow(null), name: text, leftOut: Joi.boolean() };
const written = all({
  database: key,
  line: key,
  language: Joi.valid('own', 'cql'),
  text,
  refersTo: Joi.object().pattern(/^\d+$/, key),
});
const finding = { check: key, at: key, detail: text, message: text };

const kind = (name: string, parts: Record<string, Joi.Schema>) => all({ kind: Joi.valid(name), ...parts });
const thing = Joi.alternatives(
  kind('framework', { framework: Joi.valid(...FRAMEWORKS.map(({ id }) => id)) }),
  kind('lines for', { linesFor: Joi.valid(...LINES_FOR) }),
  kind('ladder', { ladder: Joi.array().items(rungDocument.prefs(optional)) }),
  kind('finding', { ...finding, reason: text }),
  kind('element', { id: key, key: Joi.valid(...ELEMENT_KEYS), text, searched: Joi.boolean(), note: text }),
  kind('lane', laneParts),
  term.keys({ kind: Joi.valid('term'), laneId: key }),
  ownLine.keys({ kind: Joi.valid('own line') }),
  kind('limit', { id: key, limit }),
  written.keys({ kind: Joi.valid('text') }),
  kind('shelf', { id: key, name: text, contents: Joi.array().items(termContent.prefs(optional)) }),
).prefs(optional);

export const isTerm = like(termContent.required());
export const areTerms = like(Joi.array().items(termContent));
export const isLimitValues = like(limitValues.required());
export const isLimitWays = like(limitWays.required());
export const areRungs = like(Joi.array().items(rungDocument));
export const isRecurrence = like(recurrenceSchema.required());
export const areTexts = like(texts);
export const areEntryNumbers = like(Joi.array().items(Joi.number().integer().min(1)));
export const areLineKeys = like(Joi.object().pattern(/^\d+$/, key));

export const isStrategyState = like(
  all({
    searched: Joi.array().items(key.prefs(optional)),
    lanes: Joi.array().items(all({ ...laneParts, terms: Joi.array().items(term) })),
    ownLines: Joi.array().items(ownLine),
    limits: Joi.array().items(limit),
    written: Joi.array().items(written),
  }),
);

const keys = Joi.array().items(key.prefs(optional));
export const isEditStep = like(
  all({
    changes: Joi.array().items(all({ before: thing.allow(null), after: thing.allow(null) })),
    orders: Joi.array().items(all({ list: key, before: keys, after: keys })),
  }),
);

export const areLedgerLines = like(
  Joi.array().items(
    all({
      number: Joi.number().integer().min(1),
      description: text,
      string: text,
      hits: count.allow(null),
      losses: texts.prefs(optional),
    }),
  ),
);
export const areLedgerLimits = like(
  Joi.array().items(
    all({
      limit: text,
      reason: text,
      way: text.allow(null),
      notApplied: text.allow(null),
      line: count.allow(null),
      before: count.allow(null),
      after: count.allow(null),
      setBy: text,
      setAt: text,
    }),
  ),
);
export const areRunMarks = like(
  Joi.array().items(
    all({
      laneId: key.allow(null),
      vocabulary: key.allow(null),
      limitFields: texts.prefs(optional),
      cql: text,
    }),
  ),
);
export const areFresh = like(
  Joi.array().items(all({ accession: text, title: text, year: Joi.number().integer() })),
);
export const isBegun = like(
  all({
    purpose: text,
    note: text,
    together: text.prefs(optional),
    version: Joi.object().unknown().allow(null),
    accepted: Joi.array().items(all({ message: text, reason: text, by: text, at: text })),
    settled: Joi.array().items(
      all({ heading: text, vocabulary: text, headings: texts.prefs(optional), words: texts.prefs(optional) }),
    ),
    repeats: all({ entry: count, hash: text }).allow(null),
    renamed: Joi.array().items(all({ from: text, to: text })),
  }),
);
export const isDrift = like(
  all({
    records: Joi.array().items(
      all({
        accession: text,
        title: text,
        year: Joi.number().integer(),
        side: Joi.valid('gained', 'lost', 'kept'),
        reason: Joi.valid(...DRIFT_REASONS),
        what: texts.prefs(optional),
      }),
    ),
    same: count,
  }),
);

const isText = (value: unknown) => typeof value === 'string';
const isTextOrNull = (value: unknown) => value === null || isText(value);
const isListOf = (is: (value: unknown) => boolean) => (value: unknown) =>
  Array.isArray(value) && value.every(is);
const has =
  (parts: Record<string, (value: unknown) => boolean>) =>
  (value: unknown): boolean =>
    typeof value === 'object' &&
    value !== null &&
    Object.entries(parts).every(([name, is]) => is((value as Record<string, unknown>)[name]));
const absentOr = (is: (value: unknown) => boolean) => (value: unknown) => value === undefined || is(value);
const isSection = has({ label: isTextOrNull, text: isText });

/** By the parts of a record, whether a value can be it. There may be 100,000 records, so each is looked at but once. */
const RECORD: Record<string, (value: unknown) => boolean> = {
  accession: isText,
  title: isText,
  abstract: isListOf(isSection),
  keywords: isListOf(isText),
  authors: isListOf(has({ family: isText, given: isText })),
  journal: isText,
  year: Number.isSafeInteger,
  volume: isText,
  issue: isText,
  pages: isText,
  doi: isTextOrNull,
  language: isText,
  publicationTypes: isListOf(isText),
  headings: isListOf(
    has({
      vocabulary: isText,
      label: isText,
      central: (value) => typeof value === 'boolean',
      subheadings: isListOf(isText),
    }),
  ),
  limits: (value) =>
    typeof value === 'object' && value !== null && Object.values(value).every(isListOf(isText)),
  entered: isTextOrNull,
  changed: isTextOrNull,
  fullText: absentOr(isListOf(isSection)),
  related: absentOr(isListOf(has({ relation: isText, accession: isText, title: isText }))),
};

export const isRecord: ColumnCheck = (value) => {
  const record = value as Record<string, unknown>;
  const wrong = Object.keys(RECORD).find((part) => RECORD[part]?.(record[part]) === false);
  return wrong === undefined ? null : `is no record: its ${wrong} cannot be read`;
};
