import fc from 'fast-check';
import type { Query } from '../query/index.js';
import { LABELS, narrowerOf, query, record } from '../testing/arbitraries.js';
import { sampleRecord } from '../testing/sampleRecord.js';
import { buildIndex, docsOf, evaluate, evaluateLines, listWords, type EvaluationContext } from './index.js';

const context: EvaluationContext = {
  narrowerOf: (_vocabulary, label) => (LABELS.includes(label) ? narrowerOf(label) : null),
};

test('lines evaluated together find what each finds alone', () => {
  fc.assert(
    fc.property(
      fc.array(record, { maxLength: 8 }),
      fc.array(query, { minLength: 1, maxLength: 4 }),
      (records, queries) => {
        const lines = new Map(queries.map((each, i): [number, Query] => [i + 1, each]));
        const index = buildIndex(records);
        const together = evaluateLines(lines, index, context);
        for (const line of lines.keys()) {
          const alone = evaluate({ kind: 'line', line }, index, { ...context, lines });
          const found = together.get(line);
          if (alone.ok)
            expect(found?.ok === true && [...docsOf(found.documents)]).toEqual([...docsOf(alone.documents)]);
          else expect(found).toMatchObject({ ok: false, error: { problem: alone.error.problem } });
        }
      },
    ),
    { numRuns: 300 },
  );
});

test('the word list begins at the word asked for, with those before it when asked, and counts by field', () => {
  const index = buildIndex([
    sampleRecord({ title: 'Light and night', keywords: ['sleep'] }),
    sampleRecord({ title: 'Night sleep' }),
  ]);
  expect(listWords(index, 'words', 'm', 5)).toEqual([
    { word: 'night', documents: 2 },
    { word: 'sleep', documents: 2 },
  ]);
  expect(listWords(index, 'title', 'm', 5, 1)).toEqual([
    { word: 'light', documents: 1 },
    { word: 'night', documents: 2 },
    { word: 'sleep', documents: 1 },
  ]);
  expect(listWords(index, 'keywords', 'a', 5)).toEqual([{ word: 'sleep', documents: 1 }]);
});
