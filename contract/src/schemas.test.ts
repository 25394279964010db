/** What the schemas of the contract let in, and what they refuse. */
import { isSchema, type ObjectSchema } from 'joi';
import * as contract from './index.js';

const schemas = Object.entries(contract).flatMap(([name, value]): [string, ObjectSchema][] =>
  // A dictionary has keys of any name.
  isSchema(value) && (value as ObjectSchema).type === 'object' && !('patterns' in value.describe())
    ? [[name, value as ObjectSchema]]
    : [],
);
const refusal = (schema: ObjectSchema, input: unknown) =>
  schema.validate(input, { errors: { wrap: { label: false } } }).error?.message ?? null;

test('there is a schema for each kind of input', () => {
  expect(schemas.length).toBeGreaterThan(45);
});

test.each(schemas)('%s refuses a key that it does not know, and what is no object', (_name, schema) => {
  const told = schema.validate({ nobodyKnows: 1 }, { abortEarly: false }).error?.details ?? [];
  expect(told.map(({ path, type }) => [path.join('.'), type])).toContainEqual([
    'nobodyKnows',
    'object.unknown',
  ]);
  for (const input of [[], 'text', 7, true]) expect(refusal(schema, input)).not.toBeNull();
});

test.each(schemas)('%s is described for OpenAPI', (_name, schema) => {
  const { anyOf, ...whole } = schema['~standard'].jsonSchema.input({ target: 'draft-2020-12' });
  const ways = (anyOf as object[] | undefined) ?? [whole];
  expect(ways.length).toBeGreaterThan(0);
  for (const way of ways) expect(way).toMatchObject({ type: 'object', additionalProperties: false });
});

const words = { kind: 'words', text: 'light', field: 'words', near: null };
const heading = { kind: 'heading', vocabulary: 'tree', label: 'Light', narrower: true, central: false, subheadings: [] }; // prettier-ignore
const term = (content: object) => ({ laneId: 'lane', origin: 'typed', content });

test.each<[string, object, string | null]>([
  ['words', words, null],
  ['words near each other', { ...words, near: 3 }, null],
  ['a heading with some of its narrower', { ...heading, narrower: ['Daylight'] }, null],
  ['no words', { ...words, text: '' }, 'This term is empty. Write a word or a phrase.'],
  ['blanks', { ...words, text: ' \t' }, 'This term is empty. Write a word or a phrase.'],
  ['a field that there is not', { ...words, field: 'cover' }, 'content.field must be one of'],
  [
    'words nearer than next to each other',
    { ...words, near: 0 },
    'content.near must be greater than or equal to 1',
  ],
  ['a heading without a letter', { ...heading, label: '—' }, 'A heading has at least one letter or digit.'],
  ['a heading with a key more', { ...heading, text: 'light' }, 'content.text is not allowed'],
  ['one narrower heading twice', { ...heading, narrower: ['Daylight', 'Daylight'] }, 'content.narrower'],
])('a new term of %s', (_what, content, told) => {
  const message = refusal(contract.newTermSchema, term(content));
  if (told === null) expect(message).toBeNull();
  else expect(message).toContain(told);
});

const schedule = { entries: [1], every: 'day', weekday: 1, day: 1, time: '07:30', timeZone: 'UTC' };
test.each<[string, object, boolean]>([
  ['every day', {}, true],
  ['in a time zone that there is not', { timeZone: 'Moon/Crater' }, false],
  ['at a time that no clock shows', { time: '24:00' }, false],
  ['of no entry', { entries: [] }, false],
  ['on the eighth day of the week', { weekday: 8 }, false],
])('a schedule %s', (_what, parts, fits) => {
  expect(refusal(contract.newScheduleSchema, { ...schedule, ...parts }) === null).toBe(fits);
});

test('a page of records is asked for within bounds', () => {
  expect(contract.recordQuerySchema.validate({}).value).toMatchObject({ sort: 'relevance', offset: 0 });
  for (const query of [{ limit: 100_000 }, { limit: 0 }, { offset: -1 }, { sort: 'colour' }]) {
    expect(refusal(contract.recordQuerySchema, query)).not.toBeNull();
  }
});

test('a database has a field for words', () => {
  const database = (names: object) => ({
    how: 'hand',
    name: 'Osier',
    description: '',
    dialect: { kind: 'corvane', names, lacks: [] },
    vocabulary: null,
    limits: [],
    release: '',
  });
  const { newDatabaseSchema } = contract;
  expect(newDatabaseSchema.validate(database({ words: null })).error).toBeUndefined();
  const none = { words: null, title: null, abstract: null, keywords: null };
  expect(newDatabaseSchema.validate(database(none)).error?.message).toBe(
    'Name a field for words: all text, titles, abstracts or keywords.',
  );
});

test('no pattern that is published needs more than the plainest of regular expressions', () => {
  const patterns = schemas.flatMap(([, schema]) => [
    ...JSON.stringify(schema['~standard'].jsonSchema.input({ target: 'draft-2020-12' })).matchAll(
      /"pattern":"([^"]*)"/g,
    ),
  ]);
  expect(patterns.length).toBeGreaterThan(0);
  expect(patterns.filter(([, pattern = '']) => /\\\\[pP]\{|\(\?<?[=!]/.test(pattern))).toEqual([]);
});
