import fc from 'fast-check';
import { LABELS, LINES, narrowerOf, query, record } from '../testing/arbitraries.js';
import {
  buildIndex,
  docsOf,
  evaluate,
  loadIndex,
  rank,
  storeIndex,
  type EvaluationContext,
} from './index.js';

const context: EvaluationContext = {
  narrowerOf: (vocabulary, label) =>
    vocabulary === 'tree' && LABELS.includes(label) ? narrowerOf(label) : null,
  lines: LINES,
};

test('an index read back from bytes finds and ranks as the one that was built', () => {
  fc.assert(
    fc.property(
      fc.array(record, { maxLength: 40 }),
      fc.array(query, { minLength: 3, maxLength: 6 }),
      (records, queries) => {
        const built = buildIndex(records);
        // Bytes from a file may lie anywhere within a larger buffer.
        const stored = storeIndex(built);
        const shifted = new Uint8Array(stored.length + 3);
        shifted.set(stored, 3);
        const loaded = loadIndex(shifted.subarray(3));
        if (loaded === null) throw new Error('not read');
        for (const each of queries) {
          const [there, here] = [evaluate(each, built, context), evaluate(each, loaded, context)];
          if (!there.ok || !here.ok) throw new Error('not evaluated');
          expect([...docsOf(here.documents)]).toEqual([...docsOf(there.documents)]);
          expect(rank(each, here.documents, loaded, context)).toEqual(
            rank(each, there.documents, built, context),
          );
        }
      },
    ),
    { numRuns: 150 },
  );
});

test('bytes that are no index, of another format or cut short are told apart from one', () => {
  const [one] = fc.sample(record, { numRuns: 1, seed: 3 });
  const stored = storeIndex(buildIndex(one === undefined ? [] : [one]));
  expect(loadIndex(stored)).not.toBeNull();
  expect(loadIndex(stored.subarray(0, stored.length - 8))).toBeNull();
  expect(loadIndex(stored.subarray(0, 2))).toBeNull();
  expect(loadIndex(new TextEncoder().encode('{"format":1} and more'))).toBeNull();
  const text = new TextDecoder('latin1').decode(stored).replace(/"format":\d+/, '"format":9');
  expect(loadIndex(Uint8Array.from(text, (letter) => letter.charCodeAt(0)))).toBeNull();
});
