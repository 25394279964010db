import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { emptyRecord, type BibRecord } from '../records/index.js';
import { vocabularyFromTurtle, type Vocabulary } from '../vocabulary/index.js';
import {
  designTree,
  groupedDesigns,
  likelyDesigns,
  readDesignRules,
  type DesignRule,
  type DesignTree,
} from './index.js';

const content = (name: string) => readFileSync(join(__dirname, '..', '..', 'content', name), 'utf8');
let vocabulary: Vocabulary;
let tree: DesignTree;
let rules: readonly DesignRule[];
beforeAll(async () => {
  const read = await vocabularyFromTurtle(content('study-designs.ttl'));
  if (!read.ok) throw new Error(read.message);
  vocabulary = read.vocabulary;
  tree = designTree(vocabulary);
  rules = readDesignRules(content('design-rules.txt'), labels()).rules;
});

const labels = () => new Set(tree.designs.map(({ label }) => label));
const record = (title: string, text: string, parts: Partial<BibRecord> = {}): BibRecord => ({
  ...emptyRecord(),
  title,
  abstract: text === '' ? [] : [{ label: null, text }],
  ...parts,
});
const first = (each: BibRecord, options = {}) => likelyDesigns(each, rules, tree, options)[0];

describe('what is drawn by chance', () => {
  test.each([
    ['Twelve hospitals were randomised to bright light or to dim light.', 'Cluster-randomised trial'],
    ['In this study 30 wards, not patients, were randomised.', 'Cluster-randomised trial'],
    ['198 people in two hospitals were randomised to bright light or to dim light.', 'Randomised trial'],
    ['Nurses on four medical wards were randomly assigned to naps.', 'Randomised trial'],
    [
      "Of 240 women, seen in people's homes, half had it. Those in people's homes were randomly assigned.",
      'Randomised trial',
    ],
  ])('%s', (text, design) => {
    expect(first(record('Light: a randomised trial on four wards', text))?.design).toBe(design);
  });
});

describe('the designs', () => {
  test('are read from their SKOS file, each with a definition, once', () => {
    expect(tree.designs.length).toBeGreaterThan(25);
    expect(tree.designs.filter(({ scopeNote }) => !scopeNote.endsWith('.'))).toEqual([]);
    expect(labels().size).toBe(tree.designs.length);
  });

  test('belong to families: a kind of a design counts with it, and a group is no design', () => {
    expect(tree.familyOf('Cross-over trial')).toBe('Randomised trial');
    expect(tree.familyOf('Ethnography')).toBe('Qualitative study');
    expect(tree.familyOf('Meta-analysis')).toBe('Systematic review');
    expect(tree.familyOf('Cohort study')).toBe('Cohort study');
    expect(tree.familyOf('Observational study')).toBeNull();
    expect(tree.below('Qualitative study')).toContain('Grounded theory study');
  });

  test('are listed in groups, all of them and each once', () => {
    const listed = groupedDesigns(vocabulary).flatMap(({ designs }) => designs.map(({ label }) => label));
    expect([...listed].sort()).toEqual([...labels()].sort());
  });
});

describe('the rules', () => {
  test('can all be read, and know every design', () => {
    const { problems } = readDesignRules(content('design-rules.txt'), labels());
    expect(problems).toEqual([]);
    expect([...labels()].filter((label) => !rules.some(({ design }) => design === label))).toEqual([]);
  });

  test.each([
    ['[Moon study]', 'There is no design “Moon study”'],
    ['[Cohort study]\n3: followed', 'is no rule'],
    ['[Cohort study]\n+3 footnote: followed', '“footnote” is no place'],
    ['[Cohort study]\n+3: .. followed', 'has to begin and end with a word'],
    ['[Cohort study]\n+3: !!', 'has no letters'],
  ])('%j is told with its line, and the rest is read', (text, message) => {
    const read = readDesignRules(`${text}\n[Cohort study]\n+2: watched`, labels());
    expect(read.problems[0]?.message).toContain(message);
    expect(read.rules.map(({ written }) => written)).toContain('watched');
  });

  test('patterns know alternatives, endings, gaps and numbers, and stay within a sentence', () => {
    const { rules: own } = readDesignRules('[Cohort study]\n+5: follow* .. for # months/years', labels());
    const matches = (text: string) => likelyDesigns(record('', text), own, tree)[0]?.for[0]?.words ?? null;
    expect(matches('We followed 400 nurses closely for twelve months.')).toBe(
      'followed 400 nurses closely for twelve months',
    );
    expect(matches('Follow-up was for 3 years.')).toBe('Follow-up was for 3 years');
    expect(matches('We followed them. It lasted for 3 years.')).toBeNull();
    expect(matches('We followed them for a long and weary time of 3 years.')).toBeNull();
  });
});

describe('the design of a record', () => {
  test('is told with the words that speak for it and against it', () => {
    const told = first(
      record('Napping', 'Nurses were randomly assigned to naps or breaks. The main outcome was fatigue.'),
    );
    expect(told?.design).toBe('Randomised trial');
    expect(told?.for.map(({ words }) => words)).toContain('randomly assigned');
    const [sign] = told?.for.filter(({ words }) => words === 'randomly assigned') ?? [];
    expect([sign?.place, sign?.start, sign?.end]).toEqual([0, 12, 29]);
  });

  test('a random sample is no random assignment', () => {
    expect(
      first(
        record(
          'Sleep of midwives',
          'A random sample of 900 midwives was sent a questionnaire; 512 answered.',
        ),
      )?.design,
    ).toBe('Cross-sectional study');
  });

  test('a protocol is none of what it plans', () => {
    expect(
      first(
        record(
          'Light for mothers: study protocol',
          'Mothers will be randomly assigned to light or placebo, double-blind.',
        ),
      )?.design,
    ).toBe('Protocol');
  });

  test('interviews within a trial are no trial', () => {
    expect(
      first(
        record(
          'Taking part',
          'As part of the process evaluation of a trial we interviewed 18 staff. Themes were fear and hope.',
        ),
      )?.design,
    ).toBe('Interview study');
  });

  test('a kind is told where it speaks for itself', () => {
    expect(
      first(
        record('Naps by turns', 'Each nurse had both conditions in random order, with a wash-out of a week.'),
      )?.design,
    ).toBe('Cross-over trial');
  });

  test('a wrong label does not outweigh what the abstract says; without labels it is not seen', () => {
    const each = record(
      'Introducing naps: a before-and-after study',
      'Nobody was randomised. We compared the year before naps were introduced with the year after.',
      { publicationTypes: ['Randomised trial'] },
    );
    expect(first(each)?.design).toBe('Quasi-experimental study');
    expect(first(each, { withoutLabels: true })?.for.some(({ place }) => place === 'type')).toBe(false);
  });

  test('where little speaks for any, none is told; the surer, the more and the plainer the words', () => {
    expect(first(record('Light', ''))).toBeUndefined();
    const weak = first(
      record('Light in wards', 'Usual care was given. Participants were recruited in spring.'),
    );
    const strong = first(
      record(
        'Naps: a randomised controlled trial',
        'Nurses were randomly assigned, double-blind, to naps or sham.',
      ),
    );
    expect(strong?.sure).toBeGreaterThan(0.9);
    expect(weak?.sure ?? 0).toBeLessThan(strong?.sure ?? 0);
  });

  test('markup and absurd lengths are only text', () => {
    const long = 'randomly assigned <script>alert(1)</script> '.repeat(20_000);
    expect(first(record('<b>Trial</b>', long))?.design).toBe('Randomised trial');
  });
});
