/** Databases that a person adds: SRU servers by their address, and databases that are asked by hand. */
import {
  DIALECT_KINDS,
  LACKS,
  LONGEST_VALUE,
  MATCHABLE_KINDS,
  NAMED,
  WORD_FIELDS,
  type BibRecord,
  type DialectDescription,
  type MatchedLimit,
  type Names,
} from '@even-lantern/core';
import Joi from 'joi';
import type { FileEncoding } from './fileEncodings.js';
import type { CallBudget } from './databases.js';

export const SRU_VERSIONS = ['1.1', '1.2', '2.0'] as const;
export type SruVersion = (typeof SRU_VERSIONS)[number];

export interface ExploreServer {
  address: string;
}

/** What an SRU server was found to be, and how its indexes may be matched to our fields. */
export interface ExploredServer {
  address: string;
  version: SruVersion;
  name: string;
  description: string;
  /** what records it gives, by the short names that it asks for them with; those that can be read here come first */
  recordSchemas: { name: string; title: string; readable: boolean }[];
  indexes: { name: string; title: string }[];
  /** proposed */
  dialect: DialectDescription;
  /** proposed: its indexes that are limits */
  limits: MatchedLimit[];
  /** proposed: how much it may be asked */
  budget: CallBudget;
  /** what a first search found */
  test: { query: string; hits: number | null; error: string | null; record: BibRecord | null };
}

interface AddedDatabase {
  name: string;
  description: string;
  dialect: DialectDescription;
  /** the vocabulary that its headings are of; null for none */
  vocabulary: string | null;
  /** its own limits, by our kinds; none where it was added before there were any */
  limits?: MatchedLimit[];
}

export interface NewSruDatabase extends AddedDatabase {
  how: 'address';
  address: string;
  version: SruVersion;
  recordSchema: string;
  /** as proposed where nothing is said */
  budget?: CallBudget;
}

export interface NewHandDatabase extends AddedDatabase {
  how: 'hand';
  /** the state it is searched in, as its own pages tell; may be empty */
  release: string;
}

export type NewDatabase = NewSruDatabase | NewHandDatabase;

/** What was said of a database that was added, which it is whether it answers or not. */
export type DatabaseSettings = NewDatabase & { id: string };

const MOST_HITS = 1_000_000_000;
/** A name stands in strings, so it must not be cut into several words or signs by any dialect. */
const ownName = Joi.string()
  .pattern(/^[A-Za-z][A-Za-z0-9_]*(?:\.[A-Za-z][A-Za-z0-9_]*)?$/)
  .allow('', null)
  .max(80)
  .messages({
    'string.pattern.base':
      'A name of a field begins with a letter and has letters, digits and _ only, with one dot at most.',
  });

const dialectSchema = Joi.object<DialectDescription>({
  kind: Joi.string()
    .valid(...DIALECT_KINDS.map(({ id }) => id))
    .required(),
  names: Joi.object<Partial<Names>>(Object.fromEntries(NAMED.map((name) => [name, ownName])))
    .required()
    .custom((names: Partial<Names>, { message }) =>
      WORD_FIELDS.some((field) => names[field] !== null)
        ? names
        : message({ custom: 'Name a field for words: all text, titles, abstracts or keywords.' }),
    ),
  lacks: Joi.array()
    .items(Joi.string().valid(...LACKS))
    .unique()
    .required(),
});

const address = Joi.string()
  .trim()
  .max(2000)
  .uri({ scheme: ['http', 'https'] })
  .custom((value: string, { error }) => (URL.canParse(value) ? value : error('string.uri')))
  .required()
  .messages({
    'string.empty': 'Write the address of the SRU server.',
    'string.uri': 'This is no address that can be called: look at its name and port.',
    'string.uriCustomScheme': 'Write the whole address, which begins with http:// or https://.',
  });

const common = {
  name: Joi.string().trim().min(1).max(120).required().messages({
    'string.empty': 'Give the database a name.',
  }),
  description: Joi.string().allow('').max(2000).required(),
  dialect: dialectSchema.required(),
  vocabulary: Joi.string().allow(null).max(200).required(),
  limits: Joi.array()
    .items(
      Joi.object<MatchedLimit>({
        kind: Joi.string()
          .valid(...MATCHABLE_KINDS.map(({ id }) => id))
          .required(),
        name: ownName.required().disallow('', null),
        values: Joi.array().items(Joi.string().trim().min(1).max(LONGEST_VALUE)).max(500).required(),
      }),
    )
    .unique('kind')
    .unique('name')
    .messages({ 'array.unique': 'Two kinds of limits cannot be one and the same index.' }),
};

/** More at once or in a second than any server of this kind answers is no budget. */
const MOST_CALLS = 100;

const AT_ONCE = 'Write how many calls may be under way at once, from 1 to 100.';
const PER_SECOND = 'Write how many calls may be made in a second, from 1 to 100, or nothing for no bound.';
const calls = (asked: string) =>
  Joi.number()
    .integer()
    .min(1)
    .max(MOST_CALLS)
    .required()
    .messages(
      Object.fromEntries(['base', 'integer', 'min', 'max'].map((wrong) => [`number.${wrong}`, asked])),
    );

export const callBudgetSchema = Joi.object<CallBudget>({
  atOnce: calls(AT_ONCE),
  perSecond: calls(PER_SECOND).allow(null),
});

export const exploreServerSchema = Joi.object<ExploreServer>({ address });

export const newDatabaseSchema = Joi.object<NewDatabase>({
  ...common,
  how: Joi.string().valid('address', 'hand').required(),
})
  .when(Joi.object({ how: 'address' }).unknown(), {
    then: Joi.object({
      address,
      version: Joi.string()
        .valid(...SRU_VERSIONS)
        .required(),
      recordSchema: Joi.string().max(200).required(),
      budget: callBudgetSchema,
    }),
  })
  .when(Joi.object({ how: 'hand' }).unknown(), {
    then: Joi.object({
      release: Joi.string().allow('').max(80).required(),
    }),
  });

/** How many records a string found, as a person read it. */
export interface EnteredCount {
  /** in the dialect of the database */
  text: string;
  hits: number;
}

export interface AskedString {
  /** in the dialect of the database */
  text: string;
}

export const askedStringSchema = Joi.object<AskedString>({ text: Joi.string().required() });

export const enteredCountSchema = Joi.object<EnteredCount>({
  text: Joi.string().required(),
  hits: Joi.number().integer().min(0).max(MOST_HITS).required().messages({
    'number.base': 'Write how many records it found, as a whole number.',
    'number.integer': 'Write how many records it found, as a whole number.',
    'number.min': 'Write how many records it found, as a whole number.',
  }),
});

/** Records given back for a string, from a file that the database exported. */
export interface GivenRecords {
  /** in the file; of them new to the string; and all that are there for it now */
  read: number;
  added: number;
  total: number;
  /** what could not be read */
  troubles: { line: number; message: string }[];
  encoding: FileEncoding;
}

/** What is known of a string in a database that is asked by hand. */
export interface HandAnswer {
  /** of the string, by what it means */
  id: string;
  hits: number | null;
  enteredBy: string | null;
  enteredAt: string | null;
  /** records given back for it */
  records: number;
}
