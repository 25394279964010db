import { proposeNames } from './proposeNames.js';

const index = (name: string, title = '') => ({ name, title });

test('indexes are matched by their names, those of widely shared sets before others', () => {
  const names = proposeNames([
    index('local.title'),
    index('dc.title'),
    index('dc.creator'),
    index('dc.date'),
    index('dc.description'),
    index('dc.subject'),
    index('cql.anywhere'),
  ]);
  expect(names).toEqual({
    words: 'cql.anywhere',
    title: 'dc.title',
    abstract: 'dc.description',
    keywords: null,
    headings: 'dc.subject',
    author: 'dc.creator',
    journal: null,
    fulltext: null,
    heading: null,
    year: 'dc.date',
  });
});

test('an index with a name that says nothing is matched by its title', () => {
  expect(proposeNames([index('x.ti1', 'Title'), index('x.py', 'Publication year')])).toMatchObject({
    title: 'x.ti1',
    year: 'x.py',
    words: 'cql.serverChoice',
  });
});

test('no index stands for two of our fields', () => {
  const names = Object.values(proposeNames([index('dc.subject'), index('dc.title'), index('dc.source')]));
  const given = names.filter((name) => name !== null);
  expect(new Set(given).size).toBe(given.length);
});
