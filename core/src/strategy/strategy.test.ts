import { printCql } from '../query/index.js';
import { addsQuery, compileLanes, describeLine, standaloneQuery, type Lane, type Term } from './index.js';

const words = (id: string, text: string, near: number | null = null): Term => ({
  id,
  origin: 'typed',
  content: { kind: 'words', text, field: 'words', near },
});
const heading = (id: string, label: string): Term => ({
  id,
  origin: 'lookup',
  content: { kind: 'heading', vocabulary: 'tree', label, narrower: true, central: false, subheadings: [] },
});
const lanes: Lane[] = [
  { id: 'p', name: 'Night staff', terms: [heading('h', 'Shift work'), words('w', '"night shift*"')] },
  { id: 'i', name: 'Bright light', terms: [words('b', 'bright light*', 3)] },
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
    { id: 'p', name: 'Night staff', terms: [words('bad', 'a*'), words('good', 'nurse')] },
    { id: 'i', name: 'Light', terms: [] },
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
  const query = lane && term && addsQuery(term, lane);
  expect(query && printCql(query, { vocabulary: 'tree' })).toBe(
    'el.words = "night shift*" not el.heading ==/el.narrower "Shift work"',
  );
});
