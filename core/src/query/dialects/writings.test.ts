import { context, dialect, EVERY } from '../../testing/dialectStrings.js';
import { parseCql, writingsIn } from '../index.js';

const shown = (id: string | null) =>
  writingsIn(id === null ? null : dialect(id), context).map(({ before, after }) => `${before}|${after}`);

test('each dialect tells what can be written in it, with the place to fill', () => {
  expect(shown('corvane')).toEqual([
    'words("|")', 'title("|")', 'abstract("|")', 'keywords("|")', 'headingwords("|")', 'author("|")', 'journal("|")',
    'heading("|", narrower)', 'heading("|")', 'near(3, "|", "")', 'year(|..)', 'language("|")', 'line(|)',
    'AND|', 'OR|', 'NOT|',
  ]); // prettier-ignore
  expect(shown('skein')).toEqual([
    '"|"', 'in:title "|"', 'in:abstract "|"', 'in:keywords "|"', 'in:author "|"', 'in:journal "|"',
    'year:"|-"', 'language:"|"', 'OR|', '-|',
  ]); // prettier-ignore
  expect(shown('mindry')).toContain('descriptor.below:"|"');
  expect(shown('assayhouse')).toContain("subject >= '|'");
  expect(shown(null)).toContain('el.heading ==/el.narrower "|"');
});

test.each(EVERY)('in %s all of it can be read when it is filled in', (id) => {
  for (const { before, after, holds } of writingsIn(dialect(id), context)) {
    if (holds !== 'words' && holds !== 'heading') continue;
    const filled = `${before}light${after.replace(/(["'])\1/, '$1night$1').replace(/^ "~/, ' night"~')}`;
    expect([filled, dialect(id).parse(filled, context)]).toEqual([
      filled,
      expect.objectContaining({ ok: true }),
    ]);
  }
});

test('in CQL too', () => {
  for (const { before, after, holds } of writingsIn(null, context)) {
    if (holds !== 'words' && holds !== 'heading') continue;
    const filled = `${before}light${after.replace('""', '"night"')}`;
    expect([filled, parseCql(filled, { vocabulary: 'tree', limitFields: [] }).ok]).toEqual([filled, true]);
  }
});
