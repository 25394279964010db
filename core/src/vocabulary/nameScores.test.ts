import fc from 'fast-check';
import { indexForLookup, indexVocabulary, lookUp } from './index.js';
import { lookupWords, senseOf } from './lookupWords.js';
import { scoreNames } from './nameScores.js';
import { readingsOf } from './typedWords.js';

// Words that are in no saying, have no ending and no relative, so that what is tried is the counting alone.
const WORDS = ['quoin', 'varve', 'zebu', 'yurt', 'oxbow', 'kelp', 'ibex', 'loess'];
const phrase = fc.uniqueArray(fc.constantFrom(...WORDS), { minLength: 1, maxLength: 4 });
const vocabulary = fc
  .array(fc.tuple(phrase, fc.array(phrase, { maxLength: 4 })), { minLength: 1, maxLength: 12 })
  .map((headings) => ({
    id: 'v',
    name: 'V',
    release: '2026-10-01',
    headings: headings.map(([words, terms], i) => ({
      label: [...words, `number${i}x`].join(' '),
      entryTerms: terms.map((term) => term.join(' ')),
      scopeNote: '',
      broader: [],
      related: [],
      historyNote: null,
      subheadings: [],
    })),
  }));

test('each heading scores as its names do when read one by one', () => {
  fc.assert(
    fc.property(vocabulary, phrase, (own, typed) => {
      const index = indexForLookup(indexVocabulary(own));
      const namesOf = own.headings.map(({ label, entryTerms }) => [label, ...entryTerms]);
      const senses = (name: string) => [...new Set(lookupWords(name).map(senseOf))];
      const weight = (sense: string) => {
        const holding = namesOf.filter((names) => names.some((name) => senses(name).includes(sense)));
        if (holding.length === 0) return Math.log(1 + namesOf.length) / 2;
        return Math.log(1 + namesOf.length / holding.length);
      };
      const mass = (words: readonly string[]) => words.reduce((total, word) => total + weight(word), 0);
      const wanted = typed.map(senseOf);
      // The last word may be the beginning of others; the words here begin none.
      const naive = namesOf.flatMap((names, heading) => {
        const scores = names.flatMap((name, i) => {
          const held = senses(name);
          const both = held.filter((sense) => wanted.includes(sense));
          if (both.length === 0) return [];
          const [ofName, ofTyped] = [mass(both) / mass(held), mass(both) / mass(wanted)];
          return [(((3.5 * ofName * ofTyped) / (2.5 * ofName + ofTyped)) * (i === 0 ? 100 : 97)) / 100];
        });
        if (scores.length === 0) return [];
        const [best = 0, second = 0, third = 0, fourth = 0] = scores.sort((a, b) => b - a);
        return [{ heading, score: best + 0.1 * (second + 0.7 * third + 0.49 * fourth) }];
      });
      const found = scoreNames(index, readingsOf(index, typed)).sort((a, b) => a.heading - b.heading);
      expect(found.map(({ heading }) => heading)).toEqual(naive.map(({ heading }) => heading));
      found.forEach(({ score }, i) => expect(score).toBeCloseTo(naive[i]?.score ?? NaN, 9));
    }),
  );
});

test('the surest come first, by the score they tell, whatever is typed', () => {
  const words = fc.array(
    fc.oneof(fc.constantFrom(...WORDS, 'nurses', 'the', 'sleep', 'goggles'), fc.string()),
    { maxLength: 8 },
  );
  fc.assert(
    fc.property(vocabulary, words, fc.integer({ min: 1, max: 5 }), (own, typed, limit) => {
      const hits = lookUp(indexForLookup(indexVocabulary(own)), typed.join(' '), limit);
      expect(hits.length).toBeLessThanOrEqual(limit);
      const labels = hits.map(({ heading }) => heading.label);
      expect(new Set(labels).size).toBe(labels.length);
      const scores = hits.map(({ score }) => score);
      expect(scores).toEqual([...scores].sort((a, b) => b - a));
    }),
  );
});
