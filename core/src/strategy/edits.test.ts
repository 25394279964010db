import { normaliseQuery } from '../query/index.js';
import { context, dialect, read } from '../testing/dialectStrings.js';
import {
  asWritten,
  compileLanes,
  describeLine,
  laneKey,
  readEdit,
  standaloneQuery,
  termKey,
  translateLine,
  WHOLE_LINE,
  type EditedLine,
  type Lane,
  type LineText,
  type TermResolver,
} from './index.js';

const lane = (id: string, ...words: string[]): Lane => ({
  id,
  name: id,
  leftOut: false,
  terms: words.map((text) => ({
    id: text,
    origin: 'typed',
    heldBack: null,
    content: { kind: 'words', text, field: 'words', near: null },
  })),
});
const lanes = [lane('p', 'nurses', 'midwives'), lane('i', 'light')];

const written = (line: string, text: string, parts: Partial<LineText> = {}, id = 'corvane'): EditedLine => {
  const result = readEdit(
    { line, language: 'own', text, refersTo: {}, ...parts },
    dialect(id),
    context,
    asWritten,
  );
  if (!result.ok) throw new Error(result.error.message);
  return result.sent;
};
const linesWith = (edits: Record<string, EditedLine>, of: Lane[] = lanes) =>
  compileLanes(of, { edits: new Map(Object.entries(edits)) });
const strings = (edits: Record<string, EditedLine>, of: Lane[] = lanes) => {
  const { lines } = linesWith(edits, of);
  return lines.map((line) => translateLine(line, lines, dialect('corvane'), context).alone.text);
};

test('what was written for a term is searched in its line and in all that refer to it', () => {
  const edits = { [termKey('light')]: written(termKey('light'), 'title( "light" )') };
  expect(strings(edits)).toEqual([
    'words("nurses")',
    'words("midwives")',
    'words("nurses") OR words("midwives")',
    'title( "light" )',
    'title("light")',
    '(words("nurses") OR words("midwives")) AND title("light")',
  ]);
  const { lines } = linesWith(edits);
  expect(lines.map(({ edited }) => edited)).toEqual([false, false, false, true, false, false]);
  expect(describeLine(lines[3] as (typeof lines)[0], lanes)).toBe('light in the title (written by hand)');
});

test('references follow their lines when numbers move', () => {
  const text = { refersTo: { 3: laneKey('p'), 5: laneKey('i') } };
  const edits = { [WHOLE_LINE]: written(WHOLE_LINE, 'line(3) NOT line(5)', text) };
  expect(strings(edits).at(-1)).toBe('(words("nurses") OR words("midwives")) NOT words("light")');
  const grown = [lane('p', 'nurses', 'midwives', 'porters'), lane('i', 'light')];
  expect(strings(edits, grown).at(-1)).toBe(
    '(words("nurses") OR words("midwives") OR words("porters")) NOT words("light")',
  );
});

test('a reference to a line that is gone is told, and what the lanes give is searched', () => {
  const edits = { [WHOLE_LINE]: written(WHOLE_LINE, 'line(1)', { refersTo: { 1: termKey('porters') } }) };
  const { lines, problems } = linesWith(edits);
  expect(lines.at(-1)?.edited).toBe(false);
  expect(problems).toEqual([
    {
      laneId: null,
      termId: null,
      line: 'whole',
      number: 6,
      message: expect.stringMatching(/^was written with a reference/),
    },
  ]);
});

test('a lane without terms can be written by hand', () => {
  const { lines, problems } = linesWith({ [laneKey('o')]: written(laneKey('o'), 'title("sleep")') }, [
    ...lanes,
    lane('o'),
  ]);
  expect(problems).toEqual([]);
  const last = lines.at(-1);
  expect(last && normaliseQuery(standaloneQuery(last, lines))).toEqual(
    read('corvane', '(words("nurses") OR words("midwives")) AND words("light") AND title("sleep")'),
  );
});

test('CQL that the database cannot be told in full is said as nearly as may be, with the loss among the changes', () => {
  const edit = readEdit(
    {
      line: WHOLE_LINE,
      language: 'cql',
      text: 'el.title = "light" prox/unit=word/distance<=3 el.title = "night"',
      refersTo: {},
    },
    dialect('assayhouse'),
    context,
    asWritten,
  );
  expect(edit).toMatchObject({
    ok: true,
    intended: { query: { kind: 'near' }, written: null },
    sent: { query: { kind: 'and' }, changes: [expect.stringMatching(/within 3 words/)] },
  });
});

test.each([
  [WHOLE_LINE, 'own', 'title("light"', 13, /end of the call/],
  [WHOLE_LINE, 'cql', 'el.colour = red', 0, /not known/],
  [termKey('light'), 'own', 'line(1)', 0, /stands by itself/],
] as const)('%s in %s: “%s” is refused at %i', (line, language, text, at, message) => {
  expect(readEdit({ line, language, text, refersTo: {} }, dialect('corvane'), context, asWritten)).toEqual({
    ok: false,
    error: { at, message: expect.stringMatching(message) },
  });
});

test('a heading that nobody settled is refused, and so is a reference where the database has none', () => {
  const refusing: TermResolver = (part) =>
    part.kind === 'heading' ? { ok: false, message: 'Settle it.' } : { ok: true, query: part, changes: [] };
  const heading = { line: WHOLE_LINE, language: 'cql', text: 'el.heading == "Light"', refersTo: {} } as const;
  expect(readEdit(heading, dialect('corvane'), context, refusing)).toMatchObject({
    error: { message: 'Settle it.' },
  });
  const reference = { ...heading, text: 'cql.resultSetId = "L1"' };
  expect(readEdit(reference, dialect('skein'), context, asWritten)).toMatchObject({
    error: { message: expect.stringMatching(/no references to lines/) },
  });
});
