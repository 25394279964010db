import type { DatabaseList } from '@even-lantern/contract';
import { screen } from '@testing-library/react';
import { database, renderInReview, reviewWith, summaryOf, vocabulary } from '../../testing/renderInReview.js';
import { databaseApi } from './databaseApi.js';
import { outOfDateBy } from './databaseChanges.js';
import { useVocabularies } from '../useVocabulary.js';

const list = (databases: DatabaseList['databases']): DatabaseList => ({
  databases,
  failed: [],
  order: databases.map(({ id }) => id),
});
const tree = summaryOf(vocabulary, ['A database']);

test('a database in another release makes counts and vocabularies out of date', () => {
  const later = { ...database, release: '2027-01-15' };
  expect(outOfDateBy(list([later]), list([database]), [tree])).toEqual(['DatabaseAnswers', 'Vocabularies']);
});

test('a database that answers again makes them out of date, too', () => {
  expect(outOfDateBy(list([database]), list([]), [tree])).toEqual(['DatabaseAnswers', 'Vocabularies']);
});

test('one that goes away makes nothing of the others out of date', () => {
  const other = { ...database, id: 'other' };
  expect(outOfDateBy(list([other]), list([database, other]), [tree])).toEqual([]);
});

test('one that is slow, or away, makes nothing out of date; one that comes back makes its counts so', () => {
  const away = { ...database, state: 'away' as const, trouble: 'It cannot be reached.' };
  expect(outOfDateBy(list([{ ...database, state: 'slow' }]), list([database]), [tree])).toEqual([]);
  expect(outOfDateBy(list([away]), list([database]), [tree])).toEqual([]);
  expect(outOfDateBy(list([database]), list([away]), [tree])).toEqual(['DatabaseAnswers', 'Vocabularies']);
});

test('where nothing changed, or nothing was known before, nothing is asked again', () => {
  expect(outOfDateBy(list([database]), list([{ ...database }]), [tree])).toEqual([]);
  expect(outOfDateBy(list([database]), undefined, undefined)).toEqual([]);
});

test('a vocabulary whose database was late when they were listed comes once it answers', async () => {
  const Shown = () => {
    databaseApi.useDatabasesQuery();
    return <p>{useVocabularies().map(({ name }) => name)}</p>;
  };
  let listed = 0;
  renderInReview(reviewWith([]), () => <Shown />, {
    'GET vocabularies': () => (++listed === 1 ? [] : [tree]),
    'GET databases': async () => {
      await new Promise((done) => setTimeout(done, 50));
      return list([database]);
    },
  });
  expect(await screen.findByText('A tree')).toBeTruthy();
});
