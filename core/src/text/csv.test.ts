import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { toCsv } from './index.js';

const cell = fc.oneof(
  fc.string({ unit: 'grapheme' }),
  fc
    .array(
      fc.constantFrom(
        '\n',
        '\r',
        '\r\n',
        '\t',
        ' ',
        '=',
        '+',
        '-',
        '@',
        '"',
        ',',
        ';',
        "'",
        'a',
        '1',
        '\u2028',
      ),
    )
    .map((signs) => signs.join('')),
  fc.constantFrom('=HYPERLINK("x")', 'a\n=1+1', '\n=1', ' =1', '\t@SUM(1)', '＝1', "'=1"),
);

test('what is written is read back the same by another reader, and no cell begins with a formula', () => {
  fc.assert(
    fc.property(
      fc
        .integer({ min: 1, max: 4 })
        .chain((width) =>
          fc.array(fc.array(cell, { minLength: width, maxLength: width }), { minLength: 1, maxLength: 5 }),
        ),
      (rows) => {
        const read: string[][] = parse(toCsv(rows), { record_delimiter: '\r\n', skip_empty_lines: false });
        expect(read).toHaveLength(rows.length);
        for (const [i, row] of rows.entries()) {
          expect(read[i]).toHaveLength(row.length);
          for (const [j, written] of row.entries()) {
            const got = read[i]?.[j] ?? '';
            expect([written, `'${written}`]).toContain(got);
            expect(got).not.toMatch(/^\s*[=+\-@＝＋－＠]/u);
          }
        }
      },
    ),
    { numRuns: 1500 },
  );
});

test('a lone line feed does not tear a row', () => {
  expect(toCsv([['a\n=1', 'b']])).toBe('"a\n=1",b\r\n');
  expect(toCsv([['a\rb', 7, null]])).toBe('"a\rb",7,\r\n');
});
