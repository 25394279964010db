import fc from 'fast-check';
import { printCql } from '../query/index.js';
import {
  compileLanes,
  describeLine,
  foldTerms,
  linesIn,
  nameLines,
  readOwnLine,
  asWritten,
  reference,
  standaloneQuery,
  termKey,
  laneKey,
  lineKeyOf,
  OWN_LINE_ROLES,
  type Lane,
  type OwnLine,
  type Strategy,
} from './index.js';

const context = { vocabulary: 'tree', limitFields: ['language'] };
const lane = (id: string, words: readonly string[], leftOut = false): Lane => ({
  id,
  name: id,
  leftOut,
  terms: words.map((text) => ({
    id: `${id}${text}`,
    origin: 'typed',
    heldBack: null,
    content: { kind: 'words', text, field: 'words', near: null },
  })),
});
const own = (id: string, text: string, role: OwnLine['role']): OwnLine => ({
  id,
  role,
  on: true,
  text,
  note: '',
});
const compiled = (lanes: readonly Lane[], lines: readonly OwnLine[]): Strategy =>
  compileLanes(lanes, { own: lines.map((line) => readOwnLine(line, context, asWritten, null)) });
const said = ({ lines }: Strategy) =>
  new Map(
    lines.map((line) => [lineKeyOf(line), printCql(standaloneQuery(line, lines), { vocabulary: 'tree' })]),
  );
const folded = (strategy: Strategy, lanes: readonly Lane[]) =>
  foldTerms(strategy, (line) => describeLine(line, lanes));

const LANES = [lane('p', ['nurse', 'porter']), lane('i', ['light', 'lamp'])];

test('terms are said within the line of their lane, and numbers follow', () => {
  const strategy = folded(compiled(LANES, []), LANES);
  expect(strategy.lines.map((line) => [line.number, line.kind, describeLine(line, LANES)])).toEqual([
    [1, 'lane', 'nurse or porter'],
    [2, 'lane', 'light or lamp'],
    [3, 'whole', 'L1 and L2'],
  ]);
});

test('a term that a line of one’s own refers to keeps its line', () => {
  const before = compiled(LANES, [
    own('x', `${reference(termKey('plamp'))} or dusk`, 'looks'),
    own('y', reference(termKey('pporter')), 'narrows'),
  ]);
  const strategy = folded(before, LANES);
  expect(strategy.lines.map(({ kind, termId }) => termId ?? kind)).toEqual([
    'pporter',
    'lane',
    'lane',
    'own',
    'whole',
  ]);
  expect(strategy.lines[1]?.query).toMatchObject({
    kind: 'or',
    operands: [{ kind: 'words' }, { kind: 'line', line: 1 }],
  });
});

test('every line that is left finds what it found, and refers only to lines before it', () => {
  const word = fc.constantFrom('nurse', 'porter', 'light', 'lamp', 'dusk');
  const lanes = fc.uniqueArray(fc.uniqueArray(word, { minLength: 1, maxLength: 4 }), {
    minLength: 1,
    maxLength: 4,
    selector: (words) => words.join(),
  });
  fc.assert(
    fc.property(
      lanes,
      fc.array(fc.tuple(fc.nat(20), fc.constantFrom(...OWN_LINE_ROLES)), { maxLength: 4 }),
      (words, lines) => {
        const all = words.map((each, i) => lane(`l${i}`, each, i > 1));
        const keys = all.flatMap(({ id, terms }) => [laneKey(id), ...terms.map((term) => termKey(term.id))]);
        const before = compiled(
          all,
          lines.map(([n, role], i) =>
            own(`o${i}`, `${reference(keys[n % keys.length] ?? '')} or dusk`, role),
          ),
        );
        const after = folded(before, all);
        const [was, is] = [said(before), said(after)];
        expect([...is].every(([key, text]) => was.get(key) === text)).toBe(true);
        expect(after.lines.map(({ number }) => number)).toEqual(after.lines.map((_, i) => i + 1));
        expect(after.lines.every(({ number, query }) => linesIn(query).every((line) => line < number))).toBe(
          true,
        );
        // Only terms went.
        const gone = [...was.keys()].filter((key) => !is.has(key));
        expect(gone.every((key) => key.startsWith('term:'))).toBe(true);
      },
    ),
    { numRuns: 200 },
  );
});

test('what is told of a line names it by the number that it has in the end', () => {
  const strategy = compiled(LANES, []);
  const problem = {
    laneId: null,
    termId: null,
    number: 6,
    message: 'was written by hand and cannot be read.',
  };
  const whole = strategy.lines.find(({ number }) => number === 7);
  expect(whole?.kind).toBe('whole');
  const { problems } = nameLines(
    folded({ ...strategy, problems: [{ ...problem, number: 7 }, problem] }, LANES),
  );
  expect(problems.map(({ message }) => message)).toEqual([
    'L3 was written by hand and cannot be read.',
    'L2 was written by hand and cannot be read.',
  ]);
  expect(problems.every((each) => !('number' in each))).toBe(true);
});
