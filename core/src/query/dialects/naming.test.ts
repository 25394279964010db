import { context, dialect, read, wrong } from '../../testing/dialectStrings.js';
import { dialectFrom, NAMED, type Query } from '../index.js';

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

test('headings that cannot be asked for with what lies below them are named one by one', () => {
  const heading: Query = {
    kind: 'heading',
    vocabulary: 'tree',
    label: 'Lamps',
    narrower: true,
    central: false,
    subheadings: [],
  };
  const server = dialect('a server with subject headings');
  const { text, losses } = server.print(heading, {
    ...context,
    narrowerOf: ({ label }) => (label === 'Lamps' ? ['Desk lamps', 'Bed lamps'] : null),
  });
  expect(text).toBe('(dc.subject == "Lamps" or dc.subject == "Desk lamps" or dc.subject == "Bed lamps")');
  expect(losses).toMatchObject([{ instead: 'the heading and the 2 below it by name', effect: 'same' }]);
  const unknown = server.print(heading, context);
  expect([unknown.text, unknown.losses[0]?.effect]).toEqual(['dc.subject == "Lamps"', 'narrows']);
  const many = { ...context, narrowerOf: () => Array.from({ length: 201 }, (_, i) => `Lamp ${i}`) };
  expect(server.print(heading, many).losses).toMatchObject([
    { instead: 'the heading alone: 201 are too many to name', effect: 'narrows' },
  ]);
});

test('one index may hold headings and the words within them', () => {
  expect(read('a server with subject headings', 'dc.subject == "Bed lamps"')).toMatchObject({
    kind: 'heading',
    label: 'Bed lamps',
  });
  expect(read('a server with subject headings', 'dc.subject = "bed lamps"')).toMatchObject({
    kind: 'words',
    field: 'headings',
  });
  expect(wrong('a server with subject headings', 'dc.subject ==/narrower "Bed lamps"')?.[1]).toBe(
    'This database cannot be told all headings below “Bed lamps” at once.',
  );
});

test('years that cannot be limited are told as lost', () => {
  const years: Query = { kind: 'limit', field: 'year', from: 2005, to: 2026 };
  expect(dialect('colons with other names').print(years, context).losses).toMatchObject([
    { lost: 'the years 2005 to 2026', effect: 'widens' },
  ]);
});

test('a database that has words in no field at all is searched as its kind is, and no string goes round in circles', () => {
  const none = Object.fromEntries(NAMED.map((name) => [name, null]));
  const { print } = dialectFrom({ kind: 'corvane', names: none, lacks: [] });
  expect(print(words('light', 'title'), context)).toMatchObject({
    text: 'words("light")',
    losses: [{ effect: 'either' }],
  });
});

test('a kind that nobody knows is a mistake', () => {
  expect(() => dialectFrom({ kind: 'none', names: {}, lacks: [] })).toThrow(RangeError);
});
