import { DIALECTS, printCql, type Query, type SearchField } from '../query/index.js';
import {
  addsQueries,
  asWritten,
  compileLanes,
  describeLine,
  describeTerm,
  inFields,
  laneParts,
  resolverAsSent,
  standaloneQuery,
  termQuery,
  type Lane,
  type Term,
  type TermContent,
  type TermField,
} from './index.js';

const words = (id: string, text: string, near: number | null = null): Term => ({
  id,
  origin: 'typed',
  content: { kind: 'words', text, field: 'words', near },
  heldBack: null,
});
const heading = (id: string, label: string): Term => ({
  id,
  origin: 'lookup',
  content: { kind: 'heading', vocabulary: 'tree', label, narrower: true, central: false, subheadings: [] },
  heldBack: null,
});
const lanes: Lane[] = [
  {
    id: 'p',
    name: 'Night staff',
    leftOut: false,
    terms: [heading('h', 'Shift work'), words('w', '"night shift*"')],
  },
  { id: 'i', name: 'Bright light', leftOut: false, terms: [words('b', 'bright light*', 3)] },
];

test('lanes become numbered lines: terms, then their lane, then all together', () => {
  const { lines, problems } = compileLanes(lanes);
  expect(problems).toEqual([]);
  expect(lines.map((line) => `L${line.number} ${describeLine(line, lanes)}`)).toEqual([
    'L1 Shift work (with narrower)',
    'L2 “night shift*” (title, abstract, keywords)',
    'L3 L1 or L2',
    'L4 bright within 3 words of light* (title, abstract, keywords)',
    'L5 L4',
    'L6 L3 and L5',
  ]);
});

test('the last line, written out, stands alone', () => {
  const { lines } = compileLanes(lanes);
  const last = lines.at(-1);
  expect(last && printCql(standaloneQuery(last, lines), { vocabulary: 'tree' })).toBe(
    '(el.heading ==/el.narrower "Shift work" or el.words = "night shift*") and ' +
      '(el.words = "bright" prox/unit=word/distance<=3 el.words = "light*")',
  );
});

test('an unfinished term and an empty lane are named, and the rest is still searched', () => {
  const { lines, problems } = compileLanes([
    { id: 'p', name: 'Night staff', leftOut: false, terms: [words('bad', 'a*'), words('good', 'nurse')] },
    { id: 'i', name: 'Light', leftOut: false, terms: [] },
  ]);
  expect(lines.map((line) => line.kind)).toEqual(['term', 'lane', 'whole']);
  expect(problems).toEqual([
    { laneId: 'p', termId: 'bad', message: expect.stringContaining('“a*” is unfinished') },
    { laneId: 'i', termId: null, message: expect.stringContaining('nothing to search') },
  ]);
});

test('what a term adds leaves out what the other terms of its lane find', () => {
  const [lane] = lanes;
  const term = lane?.terms[1];
  const query = lane && term && addsQueries(lane).get(term.id);
  expect(query && printCql(query, { vocabulary: 'tree' })).toBe(
    'el.words = "night shift*" not el.heading ==/el.narrower "Shift work"',
  );
});

test('of any number of terms, what each adds leaves out all others, in their order', () => {
  for (const count of [1, 2, 3, 4, 5, 7, 8, 9, 17]) {
    const terms = Array.from({ length: count }, (_, i) => words(`t${i}`, `word${i}`));
    const adds = addsQueries({ id: 'p', name: '', leftOut: false, terms });
    expect([...adds.keys()]).toEqual(terms.map(({ id }) => id));
    for (const [i, { id }] of terms.entries()) {
      const others = terms.flatMap((_, j) => (j === i ? [] : [`el.words = "word${j}"`]));
      const exclude = others.length > 1 ? `(${others.join(' or ')})` : others.join('');
      expect(cql(adds.get(id) ?? null)).toBe(
        `el.words = "word${i}"${exclude === '' ? '' : ` not ${exclude}`}`,
      );
    }
  }
});

const cql = (query: Query | null) => query && printCql(query, { vocabulary: 'tree' });

test('a term held back is kept but neither searched nor counted against the others', () => {
  const [shift, night] = [heading('h', 'Shift work'), words('w', 'night')];
  const lane = {
    id: 'p',
    name: 'Night staff',
    leftOut: false,
    terms: [shift, night, { ...words('x', 'work*'), heldBack: 'too broad' }],
  };
  expect(compileLanes([lane]).lines.map(({ termId }) => termId)).toEqual(['h', 'w', null, null]);
  expect(cql(addsQueries(lane).get(night.id) ?? null)).toBe(
    'el.words = "night" not el.heading ==/el.narrower "Shift work"',
  );
  const allHeld = { ...lane, terms: lane.terms.map((term) => ({ ...term, heldBack: 'wrong sense' })) };
  expect(compileLanes([allHeld]).problems).toMatchObject([{ laneId: 'p', termId: null }]);
});

test('a heading with some of its narrower ones is searched as itself and those, each with what lies below', () => {
  const some = (narrower: string[]) => ({
    kind: 'heading' as const,
    vocabulary: 'tree',
    label: 'Light therapy',
    narrower,
    central: true,
    subheadings: [],
  });
  const query = (narrower: string[]) => {
    const result = termQuery(some(narrower));
    return result.ok ? cql(result.query) : result.message;
  };
  expect(query(['Dawn simulation', 'Light glasses'])).toBe(
    'el.heading ==/el.central "Light therapy" or el.heading ==/el.narrower/el.central "Dawn simulation" or ' +
      'el.heading ==/el.narrower/el.central "Light glasses"',
  );
  expect(query([])).toBe('el.heading ==/el.central "Light therapy"');
  expect(describeTerm(some(['Dawn simulation'])).marks).toEqual(['with Dawn simulation', 'central']);
  expect(describeTerm(some(['A', 'B', 'C'])).marks[0]).toBe('with 3 of its narrower');
  expect(describeTerm(some([])).marks[0]).toBe('this heading alone');
});

test('the headings and the words of a lane can be asked for apart', () => {
  const [lane] = lanes;
  const parts = laneParts(lane ?? { terms: [], id: '', name: '', leftOut: false });
  expect([cql(parts.headings), cql(parts.words)]).toEqual([
    'el.heading ==/el.narrower "Shift work"',
    'el.words = "night shift*"',
  ]);
  expect(laneParts({ id: 'e', name: 'empty', leftOut: false, terms: [] })).toEqual({
    headings: null,
    words: null,
  });
});

describe('where words are looked for', () => {
  const inField = (field: TermField, near: number | null = null): TermContent => ({
    kind: 'words',
    text: 'night shift',
    field,
    near,
  });
  const cql = (content: TermContent, has?: readonly SearchField[]) => {
    const read = termQuery(content, has === undefined ? asWritten : inFields(has, asWritten));
    if (!read.ok) throw new Error(read.message);
    return { text: printCql(read.query, { vocabulary: 'tree' }), changes: read.changes };
  };

  test('several fields at once are joined with OR', () => {
    expect(cql(inField('withHeadings')).text).toBe('el.words = "night shift" or el.headings = "night shift"');
    expect(cql(inField('everything')).text.split(' or ')).toHaveLength(5);
  });

  test('words near each other are near within one field, not across two', () => {
    expect(cql(inField('withHeadings', 3)).text).toBe(
      '(el.words = "night" prox/unit=word/distance<=3 el.words = "shift") or ' +
        '(el.headings = "night" prox/unit=word/distance<=3 el.headings = "shift")',
    );
  });

  test('everything is whatever the database has; words in headings that it has not are named', () => {
    const has: SearchField[] = ['words', 'title', 'author'];
    expect(cql(inField('everything'), has)).toEqual({
      text: 'el.words = "night shift" or el.author = "night shift"',
      changes: [],
    });
    expect(cql(inField('withHeadings'), has)).toEqual({
      text: 'el.words = "night shift"',
      changes: ['words in headings and subheadings cannot be searched here'],
    });
  });

  test('a single field that the database lacks is left for the dialect to say otherwise', () => {
    expect(cql(inField('fulltext'), ['words']).text).toBe('el.fulltext = "night shift"');
    const skein = DIALECTS.get('skein');
    if (skein === undefined) throw new Error('no dialect');
    const said = termQuery(
      inField('withHeadings'),
      resolverAsSent(skein, { vocabulary: null, limitFields: [] }, asWritten),
    );
    expect(said).toMatchObject({
      query: { kind: 'words', field: 'words' },
      changes: ['words in headings and subheadings cannot be searched here'],
    });
  });
});
