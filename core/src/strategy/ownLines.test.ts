import fc from 'fast-check';
import { DIALECTS } from '../query/index.js';
import { buildIndex, docsOf, evaluateLines } from '../search/index.js';
import { own } from '../testing/checkedStrategy.js';
import { sampleRecord } from '../testing/sampleRecord.js';
import {
  asWritten,
  compileLanes,
  describeLine,
  foundLine,
  joinedText,
  laneKey,
  lineKeyOf,
  linesReferredTo,
  linesToRun,
  mergedText,
  ownKey,
  OWN_LINE_ROLES,
  queryWithout,
  readOwnLine,
  reference,
  splitText,
  termKey,
  textReferringTo,
  textToKeep,
  textToShow,
  translateLine,
  type Lane,
  type OwnLine,
  type Strategy,
  type Term,
} from './index.js';

const context = { vocabulary: 'tree', limitFields: ['language'] };

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
const compiled = (lanes: readonly Lane[], lines: readonly OwnLine[]): Strategy =>
  compileLanes(lanes, { own: lines.map((line) => readOwnLine(line, context, asWritten, null)) });
/** The text to keep of what is written at the sheet of a strategy. */
const kept = (text: string, { lines }: Strategy) =>
  textToKeep(
    text,
    (number) => {
      const line = lines[number - 1];
      return line === undefined ? null : lineKeyOf(line);
    },
    'tree',
  );
const numbersIn = ({ lines }: Strategy) => {
  const numbers = new Map(lines.map((line) => [lineKeyOf(line), line.number]));
  return (key: string) => numbers.get(key) ?? null;
};

const TWO = [lane('p', ['nurse', 'porter']), lane('i', ['light'])];

describe('what is written', () => {
  test('numbers become lines, and stay words within quotation marks', () => {
    const sheet = compiled(TWO, []);
    const text = kept('(L3 and "L5") not L5', sheet);
    expect(text).toBe(`(${reference(laneKey('p'))} and "L5") not ${reference(laneKey('i'))}`);
    expect(textToShow(text, numbersIn(sheet))).toBe('(L3 and "L5") not L5');
    expect(linesReferredTo(text)).toEqual([laneKey('p'), laneKey('i')]);
  });

  test('a heading names the vocabulary at which it was written, once', () => {
    const sheet = compiled(TWO, []);
    const text = kept('el.heading ==/el.narrower "Shift work" or L1', sheet);
    expect(text).toContain('==/el.narrower /el.vocabulary="tree" "Shift work"');
    expect(kept(text, sheet)).toBe(text);
    const read = readOwnLine(own('a', text), { ...context, vocabulary: 'other' }, asWritten, null);
    expect(read.line?.query).toMatchObject({ kind: 'or' });
    expect(JSON.stringify(read.line?.query)).toContain('"vocabulary":"tree"');
  });

  test('what cannot be read is kept as it is, and told with its place', () => {
    const sheet = compiled(TWO, []);
    expect(kept('(L3 and', sheet)).toBe('(L3 and');
    const { problems } = compiled(TWO, [own('a', '(L3 and')]);
    expect(problems).toMatchObject([{ line: ownKey('a'), aside: true }]);
    expect(readOwnLine(own('a', 'L77'), context, asWritten, null).error).toMatchObject({ at: 0 });
  });

  test('an empty line is empty, not an error', () => {
    expect(compiled(TWO, [own('a', '  ')])).toEqual(compiled(TWO, []));
  });

  test('lines are joined, and two made one with parentheses', () => {
    expect(joinedText(['a', 'b', 'c'], 'or')).toBe([`a`, 'b', 'c'].map(reference).join(' or '));
    expect(joinedText(['a', 'b', 'c'], 'not')).toBe(
      `${reference('a')} not (${reference('b')} or ${reference('c')})`,
    );
    expect(mergedText('a or b', 'c', 'and')).toBe('(a or b) and (c)');
    expect(mergedText('', ' c ', 'and')).toBe('c');
  });

  test('a line is split into the parts that it joins, references and limits too', () => {
    const text = `(night or day) and ${reference('lane:p')} and el.language = "English"`;
    expect(splitText(text)).toEqual({
      operator: 'and',
      parts: ['el.words = "night" or el.words = "day"', reference('lane:p'), 'el.language == "English"'],
    });
    expect(splitText('night')).toBeNull();
    expect(splitText('night not day')).toBeNull();
    expect(splitText('(night')).toBeNull();
  });
});

describe('where own lines stand', () => {
  test('before the whole, which says what part they have in it', () => {
    const lines = [
      own('a', 'nurse not porter'),
      own('b', '"bright light"', { role: 'narrows' }),
      own('c', 'dusk', { role: 'adds' }),
      own('d', 'newborn*', { role: 'leavesOut' }),
    ];
    const strategy = compiled(TWO, lines);
    expect(strategy.problems).toEqual([]);
    expect(strategy.lines.map(({ kind }) => kind)).toEqual([
      'term', 'term', 'lane', 'term', 'lane', 'own', 'own', 'own', 'own', 'whole',
    ]); // prettier-ignore
    const whole = foundLine(strategy.lines);
    expect(whole === undefined ? '' : describeLine(whole, TWO)).toBe('((L3 and L5 and L7) or L8) not L9');
  });

  test('one that looks at the whole stands behind it, and is no part of a run', () => {
    const text = `${reference('whole')} and dusk`;
    const strategy = compiled(TWO, [own('a', text), own('b', reference(ownKey('a')))]);
    expect(strategy.problems).toEqual([]);
    expect(strategy.lines.map(({ kind }) => kind).slice(-3)).toEqual(['whole', 'own', 'own']);
    expect(linesToRun(strategy.lines).at(-1)?.kind).toBe('whole');
    expect(foundLine(strategy.lines)?.number).toBe(6);
  });

  test('without lanes, own lines alone are a strategy', () => {
    const strategy = compiled([], [own('a', 'night', { role: 'narrows' })]);
    expect(strategy.problems).toEqual([]);
    expect(strategy.lines.map(({ kind }) => kind)).toEqual(['own', 'whole']);
  });

  test.each([
    ['itself', [own('a', reference('own:a'))], 'refers to itself'],
    ['a circle', [own('a', reference('own:b')), own('b', reference('own:a'))], 'in a circle'],
    ['one behind', [own('a', reference('own:b')), own('b', 'night')], 'stands behind it'],
    ['one switched off', [own('b', 'night', { on: false }), own('a', reference('own:b'))], 'switched off'],
    ['one that is gone', [own('a', reference('lane:gone'))], 'not there any more'],
    ['the whole, and takes part in it', [own('a', reference('whole'), { role: 'narrows' })], 'only look'],
    [
      'one that cannot be read',
      [own('b', '(night'), own('a', reference('own:b'))],
      'cannot be searched itself',
    ],
  ])('a line that refers to %s is told at its place', (_what, lines, message) => {
    const { problems } = compiled(TWO, lines);
    expect(problems.find(({ line }) => line === ownKey('a'))?.message).toContain(message);
  });
});

test('lines that double each other are told before they grow beyond all measure', () => {
  const lines = Array.from({ length: 60 }, (_, i) =>
    own(
      `d${i}`,
      i === 0 ? 'night or day' : `${reference(ownKey(`d${i - 1}`))} and ${reference(ownKey(`d${i - 1}`))}`,
    ),
  );
  const { problems } = compiled(TWO, lines);
  expect(problems[0]?.message).toContain('too many parts');
  // What comes behind is told as well, and nothing of it is written out.
  expect(problems.length).toBeGreaterThan(40);
});

test('an own line is said in each dialect, and what it cannot say is named', () => {
  const [dialect] = [DIALECTS.get('skein')];
  if (dialect === undefined) throw new Error('no dialect');
  const strategy = compiled(TWO, [own('a', `${reference(laneKey('p'))} and el.title = "night"`)]);
  const { lines } = strategy;
  const line = lines.find(({ kind }) => kind === 'own');
  if (line === undefined) throw new Error('no line');
  const { alone } = translateLine(line, lines, dialect, { vocabulary: null, limitFields: [] });
  expect(alone.text).toContain('nurse');
  const said = readOwnLine(own('a', 'el.language = "English"'), context, asWritten, dialect);
  expect(said.line?.changes).toEqual([]);
});

const WORDS = ['nurse', 'night', 'light', 'sleep', 'rat'];
const records = Array.from({ length: 32 }, (_, n) =>
  sampleRecord({ title: WORDS.filter((_word, bit) => (n & (1 << bit)) !== 0).join(' ') }),
);
const index = buildIndex(records);
const found = ({ lines }: Strategy, number: number | undefined): number[] => {
  const numbered = new Map(lines.map((line) => [line.number, line.query]));
  const result = evaluateLines(numbered, index, { narrowerOf: () => null }).get(number ?? 0);
  return result?.ok === true ? [...docsOf(result.documents)] : [];
};
const holds = (n: number, word: string) => (n & (1 << WORDS.indexOf(word))) !== 0;
const aWord = fc.constantFrom(...WORDS);
const lanesDrawn = fc.array(
  fc.record({ words: fc.subarray(WORDS, { minLength: 1 }), leftOut: fc.boolean() }),
  { maxLength: 4 },
);
const ownDrawn = fc.array(fc.record({ word: aWord, role: fc.constantFrom(...OWN_LINE_ROLES) }), {
  maxLength: 5,
});

test('the whole is the set algebra of lanes and own lines, whatever their order', () => {
  fc.assert(
    fc.property(lanesDrawn, ownDrawn, (lanes, lines) => {
      const made = lanes.map(({ words, leftOut }, i) => lane(`lane ${i}`, words, leftOut));
      const strategy = compiled(
        made,
        lines.map(({ word, role }, i) => own(`own ${i}`, word, { role })),
      );
      const by = (role: string) => lines.filter((each) => each.role === role).map(({ word }) => word);
      const asked = made.filter(({ leftOut }) => !leftOut);
      const narrowed = asked.length + by('narrows').length > 0;
      const expected = records.flatMap((_record, n) => {
        const within =
          narrowed &&
          asked.every(({ terms }) => terms.some(({ id }) => holds(n, id))) &&
          by('narrows').every((word) => holds(n, word));
        const out =
          made.some(({ leftOut, terms }) => leftOut && terms.some(({ id }) => holds(n, id))) ||
          by('leavesOut').some((word) => holds(n, word));
        return (within || by('adds').some((word) => holds(n, word))) && !out ? [n] : [];
      });
      const whole = foundLine(strategy.lines);
      if (whole === undefined) expect(expected).toEqual([]);
      else expect(found(strategy, whole.number)).toEqual(expected);
    }),
  );
});

test('the whole without a term is what the lanes without that term find', () => {
  fc.assert(
    fc.property(lanesDrawn, ownDrawn, fc.nat(), (lanes, lines, drawn) => {
      const made = lanes.map(({ words, leftOut }, i) => ({
        ...lane(`lane ${i}`, words, leftOut),
        terms: words.map((word) => ({ ...term(word), id: `${i} ${word}` })),
      }));
      const owns = lines.map(({ word, role }, i) => own(`own ${i}`, word, { role }));
      const strategy = compiled(made, owns);
      const terms = strategy.lines.filter(({ kind }) => kind === 'term');
      const chosen = terms[drawn % Math.max(1, terms.length)];
      const whole = foundLine(strategy.lines);
      if (chosen === undefined || whole === undefined) return;
      const query = queryWithout(whole, strategy.lines, chosen.number);
      const numbered =
        query === null ? null : evaluateLines(new Map([[1, query]]), index, { narrowerOf: () => null });
      const result = numbered?.get(1);
      const told = result?.ok === true ? [...docsOf(result.documents)] : [];
      // A word that no record holds takes the term’s place.
      const nothing = compiled(
        made.map((each) => ({
          ...each,
          terms: each.terms.map((one) =>
            one.id === chosen.termId ? { ...term('nowhere'), id: one.id } : one,
          ),
        })),
        owns,
      );
      expect(told).toEqual(found(nothing, foundLine(nothing.lines)?.number));
    }),
  );
});

test('references stay right under any sequence of edits', () => {
  // Each edit adds, removes or holds back terms, moves lanes, or moves own lines; a line that refers to another by its
  // number on the sheet must find what that other finds, as long as that is there.
  const edits = fc.array(
    fc.record({ what: fc.constantFrom('add', 'drop', 'lanes', 'own'), at: fc.nat(20), word: aWord }),
    { maxLength: 12 },
  );
  fc.assert(
    fc.property(lanesDrawn, edits, fc.nat(), (drawnLanes, steps, pick) => {
      let lanes = drawnLanes.map(({ words }, i) => lane(`lane ${i}`, words));
      lanes = lanes.map((each, i) => ({
        ...each,
        terms: each.terms.map((one) => ({ ...one, id: `${i} ${one.id}` })),
      }));
      let owns = [own('x', 'sleep'), own('y', 'rat')];
      const sheet = compiled(lanes, owns);
      const target = sheet.lines[pick % sheet.lines.length];
      if (target === undefined || target.kind === 'whole') return;
      const key = lineKeyOf(target);
      owns = [...owns, own('ref', kept(`L${target.number}`, sheet))];
      for (const [i, { what, at, word }] of steps.entries()) {
        const place = lanes.length === 0 ? -1 : at % lanes.length;
        if (what === 'add')
          lanes = lanes.map((each, n) =>
            n === place ? { ...each, terms: [{ ...term(word), id: `new ${i}` }, ...each.terms] } : each,
          );
        if (what === 'drop')
          lanes = lanes.map((each, n) =>
            n === place
              ? {
                  ...each,
                  terms: each.terms.filter(({ id }) => termKey(id) === key || id.length % 2 === at % 2),
                }
              : each,
          );
        if (what === 'lanes') lanes = [...lanes.slice(1), ...lanes.slice(0, 1)];
        if (what === 'own') owns = [owns[1], owns[0], ...owns.slice(2)].flatMap((each) => each ?? []);
      }
      const after = compiled(lanes, owns);
      const numbers = numbersIn(after);
      const now = numbers(key);
      const referring = numbers(ownKey('ref'));
      if (now === null) {
        expect(referring).toBeNull();
        expect(after.problems.some(({ line }) => line === ownKey('ref'))).toBe(true);
        return;
      }
      expect(found(after, referring ?? 0)).toEqual(found(after, now));
      expect(textToShow(owns.at(-1)?.text ?? '', numbers)).toBe(`L${now}`);
    }),
  );
});

test('when two lines are made one, those that referred to either refer to it', () => {
  const text = `${reference('own:b')} or ${reference('own:c')}`;
  expect(textReferringTo(text, 'own:b', 'own:a')).toBe(`${reference('own:a')} or ${reference('own:c')}`);
});
