import { indexVocabulary } from '@even-lantern/core';
import { database, vocabulary } from '../../../testing/renderInReview.js';
import { readerFor, readText } from './readText.js';

const tree = indexVocabulary(vocabulary);
const read = (text: string, language: 'own' | 'cql' = 'own') =>
  readText(text, readerFor(database, tree, language));

test('an error has its place, and nothing is read', () => {
  expect(read('title("a"')).toEqual({
    query: null,
    findings: [{ from: 9, to: 10, severity: 'wrong', message: expect.stringMatching(/end of the call/) }],
  });
});

test('a heading that is none is told, with what the vocabulary calls it', () => {
  expect(read('heading("phototherapy")').findings).toEqual([
    {
      from: 9,
      to: 21,
      severity: 'caution',
      message: 'There is no heading “phototherapy” in the A tree. It calls this “Light therapy”.',
    },
  ]);
  expect(read('el.heading == "Nothing"', 'cql').findings[0]?.message).toBe(
    'There is no heading “Nothing” in the A tree.',
  );
  expect(read('heading("light therapy")').findings).toEqual([]);
});

test('what the database adds to bare words by itself is told, for one that is known to do it', () => {
  expect(read('"lamps"').findings[0]?.message).toMatch(/joins the heading “Lighting”/);
  const byHand = readerFor({ ...database, reached: 'hand' }, tree, 'own');
  expect(readText('"lamps"', byHand).findings).toEqual([]);
});

test('where operators of other strength meet, it says so', () => {
  expect(read('title("a") OR title("b") AND title("c")').findings).toMatchObject([
    { severity: 'caution', from: 25 },
  ]);
});
