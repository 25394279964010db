import { context, dialect, wrong } from '../../testing/dialectStrings.js';
import { dialectFrom, type Query } from '../index.js';

const words = (text: string, field: 'words' | 'title' = 'words'): Query => ({
  kind: 'words',
  field,
  phrase: [{ text: text.replace('*', ''), anyEnding: text.endsWith('*') }],
});

test('a database writes as its kind does, with the names it has for its fields', () => {
  const query: Query = {
    kind: 'and',
    operands: [words('light', 'title'), { kind: 'limit', field: 'year', from: 2005, to: null }],
  };
  expect(dialect('a server with a few indexes').print(query, context).text).toBe(
    'dc.title = "light" and dc.date >= 2005',
  );
  expect(dialect('calls with other names').print(query, context).text).toBe(
    'title("light") AND published(2005..)',
  );
});

test('a field or a heading that it has not is lost, and what is said instead is told', () => {
  const { text, losses } = dialect('calls with other names').print(
    { kind: 'words', field: 'abstract', phrase: [{ text: 'light', anyEnding: false }] },
    context,
  );
  expect([text, losses[0]?.instead]).toEqual(['anywhere("light")', 'title, abstract and keywords']);
  expect(wrong('calls with other names', 'abstract("light")')?.[1]).toBe(
    'There is no call “abstract”. There are anywhere, title, keywords, headingwords, author, journal, topic, published, language, near, line, all.',
  );
  expect(wrong('signs with other names', "subject = 'Light'")?.[1]).toMatch(/There is no field “subject”/);
});

test('where words cannot end with *, the word alone is searched, which finds less', () => {
  const { text, losses } = dialect('a server that knows no endings').print(words('lig*'), context);
  expect(text).toBe('bib.any = "lig"');
  expect(losses).toMatchObject([{ lost: 'the pattern in “lig*”', instead: 'lig', effect: 'narrows' }]);
  expect(wrong('a server that knows no endings', 'bib.any = "lig*"')?.[1]).toBe(
    'This database cannot be told the pattern in “lig*”.',
  );
});

test('years that cannot be limited are told as lost', () => {
  const years: Query = { kind: 'limit', field: 'year', from: 2005, to: 2026 };
  expect(dialect('colons with other names').print(years, context).losses).toMatchObject([
    { lost: 'the years 2005 to 2026', effect: 'widens' },
  ]);
});

test('a kind that nobody knows is a mistake', () => {
  expect(() => dialectFrom({ kind: 'none', names: {}, lacks: [] })).toThrow(RangeError);
});
