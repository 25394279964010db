import { linesBeside } from './linesBeside.js';

const term = (laneId: string, termId: string) => ({
  kind: 'term' as const,
  laneId,
  termId,
  limitId: null,
  ownId: null,
});
const lane = (laneId: string) => ({
  kind: 'lane' as const,
  laneId,
  termId: null,
  limitId: null,
  ownId: null,
});
const whole = { kind: 'whole' as const, laneId: null, termId: null, limitId: null, ownId: null };

const names = (rows: ReturnType<typeof linesBeside>) =>
  rows.map((row) => row.map((line) => (line === undefined ? '' : (line.termId ?? line.laneId ?? 'all'))));

test('lines that say the same stand in one row, whatever their numbers are', () => {
  const first = [term('p', 'a'), term('p', 'b'), lane('p'), whole];
  const second = [term('p', 'b'), lane('p'), whole];
  expect(names(linesBeside([first, second]))).toEqual([
    ['a', ''],
    ['b', 'b'],
    ['p', 'p'],
    ['all', 'all'],
  ]);
});

test('what only the shorter strategy has is not lost: it stands in its lane', () => {
  const first = [term('p', 'a'), term('p', 'b'), lane('p'), term('i', 'c'), lane('i'), whole];
  const second = [term('p', 'a'), lane('p'), term('i', 'd'), lane('i'), whole];
  expect(names(linesBeside([second, first]))).toEqual([
    ['a', 'a'],
    ['', 'b'],
    ['p', 'p'],
    ['', 'c'],
    ['d', ''],
    ['i', 'i'],
    ['all', 'all'],
  ]);
});

test('a whole lane that the longest lacks stands before the end', () => {
  const rows = linesBeside([
    [term('p', 'a'), term('p', 'b'), lane('p'), whole],
    [term('i', 'c'), lane('i'), whole],
    [],
  ]);
  expect(names(rows).map(([, second]) => second)).toEqual(['', '', '', 'c', 'i', 'all']);
  expect(linesBeside([])).toEqual([]);
});
