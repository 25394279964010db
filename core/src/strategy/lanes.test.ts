import fc from 'fast-check';
import { evaluateLines, buildIndex, docsOf } from '../search/index.js';
import { subject, words } from '../testing/checkedStrategy.js';
import { sampleRecord } from '../testing/sampleRecord.js';
import {
  compileLanes,
  describeLine,
  lanesOfQuestion,
  lanesToDocument,
  sameTerm,
  type KeptLane,
  type Lane,
  type Term,
} from './index.js';

const term = (text: string): Term => ({
  id: text,
  origin: 'typed',
  heldBack: null,
  content: { kind: 'words', text, field: 'words', near: null },
});
const lane = (id: string, words: readonly string[], leftOut = false): Lane => ({
  id,
  name: id,
  leftOut,
  terms: words.map(term),
});

test('lanes stand in the order of their elements, and further concepts behind', () => {
  const element = (id: string, key: 'P' | 'I', text: string, searched = true) => ({
    id,
    key,
    text,
    searched,
  });
  const kept = (id: string, elementId: string | null, name = ''): KeptLane => ({
    id,
    elementId,
    name,
    leftOut: false,
    terms: [],
  });
  const elements = [element('p', 'P', 'night staff'), element('i', 'I', ''), element('c', 'I', 'dim', false)];
  const lanes = [
    kept('z', null),
    kept('1', 'i'),
    kept('2', 'p', 'hospital staff'),
    kept('3', 'p'),
    kept('4', 'c'),
  ];
  expect(lanesOfQuestion(elements, lanes).map(({ id, name }) => [id, name])).toEqual([
    ['2', 'hospital staff'],
    ['3', 'night staff'],
    ['1', 'Intervention'],
    ['z', 'Further concept'],
  ]);
});

test('a lane that is left out is a line of its own, and the whole is the others without it', () => {
  const lanes = [lane('p', ['nurse']), lane('x', ['rat', 'mouse'], true), lane('i', ['light'])];
  const { lines, problems } = compileLanes(lanes);
  expect(problems).toEqual([]);
  expect(lines.map((line) => describeLine(line, lanes)).slice(-2)).toEqual(['L6', '(L2 and L7) not L5']);
  const [only] = [compileLanes([lane('p', ['nurse']), lane('x', ['rat'], true)]).lines.at(-1)];
  expect(only === undefined ? '' : describeLine(only, [])).toBe('L2 not L4');
});

test('when every lane is left out, that is told and nothing is searched', () => {
  const { lines, problems } = compileLanes([lane('x', ['rat'], true)]);
  expect(lines.map(({ kind }) => kind)).toEqual(['term', 'lane']);
  expect(problems[0]?.message).toContain('All lanes are left out');
});

test('what the whole finds is the set algebra of its lanes, however they are split', () => {
  const WORDS = ['nurse', 'night', 'light', 'sleep', 'rat'];
  const records = Array.from({ length: 64 }, (_, n) =>
    sampleRecord({ title: WORDS.filter((_word, bit) => (n & (1 << bit)) !== 0).join(' ') }),
  );
  const index = buildIndex(records);
  const found = (lanes: readonly Lane[]): number[] => {
    const { lines } = compileLanes(lanes);
    const last = lines.at(-1);
    if (last?.kind !== 'whole') return [];
    const numbered = new Map(lines.map(({ number, query }) => [number, query]));
    const result = evaluateLines(numbered, index, { narrowerOf: () => null }).get(last.number);
    return result?.ok === true ? [...docsOf(result.documents)] : [];
  };
  const lanesOf = fc.array(
    fc.record({ words: fc.subarray(WORDS, { minLength: 1 }), leftOut: fc.boolean() }),
    { minLength: 1, maxLength: 5 },
  );
  fc.assert(
    fc.property(lanesOf, (drawn) => {
      const lanes = drawn.map(({ words, leftOut }, i) => lane(`lane ${i}`, words, leftOut));
      const holds = (n: number, { terms }: Lane) =>
        terms.some(({ id }) => (n & (1 << WORDS.indexOf(id))) !== 0);
      const expected = lanes.every(({ leftOut }) => leftOut)
        ? []
        : records.flatMap((_record, n) =>
            lanes.every((each) => holds(n, each) !== each.leftOut) ? [n] : [],
          );
      expect(found(lanes)).toEqual(expected);
    }),
  );
});

test('the form of lanes tells which are left out, and which belong to no element', () => {
  const [first] = lanesToDocument('Lamps', [{ ...lane('x', ['rat'], true), element: null }]).lanes;
  expect(first).toMatchObject({ name: 'x', element: null, leftOut: true });
});

test('one heading is one term however it is searched, and words however they are typed', () => {
  expect(sameTerm(subject('Lighting'), subject('lighting', { narrower: false, central: true }))).toBe(true);
  expect(sameTerm(subject('Lighting'), subject('Lighting', { subheadings: ['effects'] }))).toBe(false);
  expect(sameTerm(subject('Lighting'), subject('Lighting', { vocabulary: 'other' }))).toBe(false);
  expect(sameTerm(subject('Lighting'), words('lighting'))).toBe(false);
  expect(sameTerm(words('"Night  Shift*"'), words('night shift*'))).toBe(true);
  expect(sameTerm(words('night shift*'), words('night shift*', { near: 3 }))).toBe(false);
  expect(sameTerm(words('night shift'), words('night shift*'))).toBe(false);
  expect(sameTerm(words('a*'), words(' a* '))).toBe(true);
});
