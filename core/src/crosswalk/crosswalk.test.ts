import fc from 'fast-check';
import { compileLanes, describeLine, laneParts, termQuery, type TermContent } from '../strategy/index.js';
import { indexVocabulary, type Heading, type VocabularyTree } from '../vocabulary/index.js';
import { indexForCrosswalk, proposeCounterparts, resolverIn, settledAs, wordsFor } from './index.js';
import type { Settlement } from './index.js';

function heading(label: string, parts: Partial<Heading> = {}): Heading {
  const nothing = {
    entryTerms: [],
    scopeNote: '',
    broader: [],
    related: [],
    historyNote: null,
    subheadings: [],
  };
  return { label, ...nothing, ...parts };
}

function tree(id: string, headings: Heading[]): VocabularyTree {
  return indexVocabulary({ id, name: `The ${id} words`, release: '2026-01-01', headings });
}

const harbour = tree('harbour', [
  heading('Boats'),
  heading('Rowing boats', {
    broader: ['Boats'],
    entryTerms: ['dinghies', 'skiffs'],
    subheadings: ['repair'],
  }),
  heading('Lanterns', { entryTerms: ['lamps', 'ship lights'], subheadings: ['repair', 'wicks'] }),
  heading('Tide tables', { entryTerms: ['tidal charts'] }),
  heading('Knots', { broader: ['Boats'] }),
]);
const coast = tree('coast', [
  heading('Vessels', { entryTerms: ['boats', 'ships'] }),
  heading('Oared craft', {
    broader: ['Vessels'],
    entryTerms: ['dinghies', 'skiffs'],
    subheadings: ['upkeep'],
  }),
  heading('Ship lights', { entryTerms: ['lamps', 'lanterns on board'], subheadings: ['repair'] }),
  heading('Lamp posts', { entryTerms: ['lamps', 'street lights'] }),
]);
const from = indexForCrosswalk(harbour);
const to = indexForCrosswalk(coast);
const get = (label: string) => harbour.byLabel.get(label.toLowerCase()) ?? heading(label);
const proposed = (label: string, settled: Settlement[] = []) =>
  proposeCounterparts(from, get(label), to, settled).map((each) => each.heading.label);
const settle = (
  label: string,
  targetLabel: string | null,
  verdict: Settlement['verdict'] = 'confirmed',
): Settlement => ({ vocabulary: 'harbour', label, target: 'coast', targetLabel, verdict });

describe('proposals', () => {
  test('a heading whose label is the other’s entry term, and shares entry terms, comes first', () => {
    const [first, second] = proposeCounterparts(from, get('Lanterns'), to);
    expect(first?.heading.label).toBe('Ship lights');
    expect(first?.reasons).toContainEqual({ kind: 'label among entry terms', term: 'ship lights' });
    expect(first?.reasons).toContainEqual({ kind: 'shared entry terms', terms: ['lamps'] });
    expect(second?.strength ?? 0).toBeLessThan(first?.strength ?? 0);
  });

  test('headings beside it that correspond make a proposal surer, and are named', () => {
    const [first] = proposeCounterparts(from, get('Rowing boats'), to);
    expect(first?.heading.label).toBe('Oared craft');
    expect(first?.reasons).toContainEqual({ kind: 'neighbours correspond', pairs: [['Boats', 'Vessels']] });
    const alone = tree('coast', [heading('Oared craft', { entryTerms: ['dinghies', 'skiffs'] })]);
    const [without] = proposeCounterparts(from, get('Rowing boats'), indexForCrosswalk(alone));
    expect(without?.strength ?? 1).toBeLessThan(first?.strength ?? 0);
  });

  test('nothing is proposed where nothing fits', () => {
    expect(proposed('Tide tables')).toEqual([]);
  });

  test('where only the heading above has a counterpart, that is proposed as wider', () => {
    const [first] = proposeCounterparts(from, get('Knots'), to);
    expect(first?.heading.label).toBe('Vessels');
    expect(first?.reasons).toEqual([{ kind: 'stands for a broader heading', label: 'Boats' }]);
  });

  test('what was refused is not proposed again', () => {
    expect(proposed('Lanterns', [settle('Lanterns', 'Ship lights', 'refused')])).not.toContain('Ship lights');
  });

  test('a pair confirmed the other way round is proposed first, with that reason', () => {
    const reverse: Settlement = {
      vocabulary: 'coast',
      label: 'Lamp posts',
      target: 'harbour',
      targetLabel: 'Lanterns',
      verdict: 'confirmed',
    };
    const [first] = proposeCounterparts(from, get('Lanterns'), to, [reverse]);
    expect(first?.heading.label).toBe('Lamp posts');
    expect(first?.reasons[0]).toEqual({ kind: 'confirmed the other way round' });
  });

  test('a vocabulary beside itself proposes each heading for itself first', () => {
    for (const each of harbour.vocabulary.headings) {
      const [first] = proposeCounterparts(from, each, from);
      expect(first?.heading).toBe(each);
    }
  });

  test('any two vocabularies: strengths lie between 0 and 1 and fall, no heading twice, within the limit', () => {
    const name = fc.constantFrom(
      'boat',
      'boats',
      'lamp',
      'lamp oil',
      'tide',
      'high tide',
      'knot',
      'the lamp',
    );
    const headings = fc
      .uniqueArray(fc.tuple(name, fc.array(name, { maxLength: 3 }), fc.nat(5)), {
        selector: ([label]) => label,
        minLength: 1,
      })
      .map((all) =>
        all.map(([label, entryTerms, above], i) =>
          heading(label, { entryTerms, broader: above < i ? [all[above]?.[0] ?? ''] : [] }),
        ),
      );
    fc.assert(
      fc.property(headings, headings, (some, others) => {
        const [own, other] = [indexForCrosswalk(tree('a', some)), indexForCrosswalk(tree('b', others))];
        for (const each of some) {
          const found = proposeCounterparts(own, each, other, [], 3);
          const strengths = found.map(({ strength }) => strength);
          expect(strengths).toEqual([...strengths].sort((x, y) => y - x));
          expect(strengths.every((strength) => strength > 0 && strength <= 1)).toBe(true);
          expect(new Set(found.map((proposal) => proposal.heading)).size).toBe(found.length);
          expect(found.length).toBeLessThanOrEqual(3);
          expect(found.every(({ reasons }) => reasons.length > 0)).toBe(true);
        }
      }),
    );
  });
});

describe('reading headings in a database that has another vocabulary', () => {
  const trees: Record<string, VocabularyTree> = { harbour, coast };
  const reading = (settlements: Settlement[]) => resolverIn(coast, settlements, (id) => trees[id] ?? null);
  const term = (parts: object = {}): TermContent => ({
    kind: 'heading',
    vocabulary: 'harbour',
    label: 'Lanterns',
    narrower: true,
    central: false,
    subheadings: [],
    ...parts,
  });

  test('its own headings are searched as they are', () => {
    const own = term({ vocabulary: 'coast', label: 'Vessels' });
    expect(termQuery(own, reading([]))).toEqual({ ...termQuery(own), changes: [] });
  });

  test('a subheading that neither a heading nor one below it may have is told, with those that it has', () => {
    const own = (subheading: string, narrower = true) =>
      termQuery(
        term({ vocabulary: 'coast', label: 'Vessels', narrower, subheadings: [subheading] }),
        reading([]),
      );
    expect(own('upkeep').ok).toBe(true);
    expect(own('upkep')).toMatchObject({
      ok: false,
      message: 'The heading “Vessels” has no subheading “upkep”. It has: upkeep.',
    });
    expect(own('upkeep', false)).toMatchObject({ ok: false });
  });

  test('what nobody has settled is a problem that names heading and vocabulary, not a guess', () => {
    expect(termQuery(term(), reading([]))).toMatchObject({
      ok: false,
      message: expect.stringMatching(
        /“Lanterns” of the The harbour words is not settled in the The coast words/,
      ),
    });
  });

  test('a confirmed heading is searched with the same narrower and central', () => {
    const result = termQuery(term({ central: true }), reading([settle('Lanterns', 'Ship lights')]));
    expect(result).toMatchObject({
      ok: true,
      query: { kind: 'heading', vocabulary: 'coast', label: 'Ship lights', narrower: true, central: true },
      changes: [],
    });
  });

  test('several confirmed headings are joined with OR', () => {
    const settlements = [settle('Lanterns', 'Ship lights'), settle('Lanterns', 'Lamp posts')];
    const result = termQuery(term(), reading(settlements));
    expect(result.ok && result.query.kind === 'or' ? result.query.operands : []).toHaveLength(2);
  });

  test('a subheading that the other heading has not is left out, and that is told', () => {
    const result = termQuery(
      term({ subheadings: ['repair', 'wicks'] }),
      reading([settle('Lanterns', 'Ship lights')]),
    );
    expect(result).toMatchObject({ ok: true, query: { subheadings: ['repair'] } });
    expect(result.ok && result.changes).toEqual([expect.stringContaining('wicks')]);
  });

  test('words stand in where that was chosen: label and entry terms', () => {
    const result = termQuery(term({ central: true }), reading([settle('Lanterns', null, 'words')]));
    expect(result.ok && result.query.kind === 'or' && result.query.operands).toHaveLength(
      wordsFor(get('Lanterns')).length,
    );
    expect(result.ok && result.changes.join()).toContain('central');
  });

  test('some narrower headings are each settled by themselves', () => {
    const some = term({ label: 'Boats', narrower: ['Rowing boats'] });
    const half = [settle('Boats', 'Vessels')];
    expect(termQuery(some, reading(half))).toMatchObject({
      ok: false,
      message: expect.stringContaining('Rowing boats'),
    });
    expect(termQuery(some, reading([...half, settle('Rowing boats', 'Oared craft')]))).toMatchObject({
      ok: true,
    });
  });

  test('lines and parts of a lane follow the reading, and a line is described as the term was written', () => {
    const lane = {
      id: 'P',
      name: 'P',
      leftOut: false,
      terms: [{ id: 't', content: term(), origin: 'lookup' as const, heldBack: null }],
    };
    const words = reading([settle('Lanterns', null, 'words')]);
    const { lines, problems } = compileLanes([lane], { read: words });
    expect(problems).toEqual([]);
    const [first] = lines;
    if (first === undefined) throw new Error('no line');
    expect([describeLine(first, [lane]), first.changes]).toEqual([
      'Lanterns (with narrower)',
      ['searched as words'],
    ]);
    expect(laneParts(lane, words)).toMatchObject({ headings: null, words: { kind: 'or' } });
    expect(compileLanes([lane], { read: reading([]) }).problems[0]?.termId).toBe('t');
  });

  test('confirmed headings go before words chosen earlier', () => {
    const both = [settle('Lanterns', null, 'words'), settle('Lanterns', 'Ship lights')];
    expect(settledAs(both, 'harbour', 'Lanterns', 'coast')).toEqual({
      kind: 'headings',
      labels: ['Ship lights'],
    });
  });

  test('a database without a vocabulary gets the names of a heading as words, and says so', () => {
    const result = termQuery(
      term(),
      resolverIn(null, [], () => harbour),
    );
    expect(result).toMatchObject({
      ok: true,
      query: { kind: 'or' },
      changes: ['searched as words, since this database has no headings'],
    });
    expect(JSON.stringify(result)).not.toContain('"kind":"heading"');
  });

  test.each([
    ['with narrower', true, ['words cannot say the 2 headings below it']],
    ['alone', false, []],
  ])(
    'of a heading %s, words say only its own names, and what is below it is named as left out',
    (_how, narrower, lost) => {
      const without = termQuery(
        term({ label: 'Boats', narrower }),
        resolverIn(null, [], () => harbour),
      );
      expect(without.ok && without.changes.slice(1)).toEqual(lost);
      const chosen = termQuery(term({ label: 'Boats', narrower }), reading([settle('Boats', null, 'words')]));
      expect(chosen.ok && chosen.changes.slice(1)).toEqual(lost);
    },
  );
});
