import { join } from 'node:path';
import { readContent } from './application.js';
import { generateRecords } from './generate.js';

const content = readContent(join(__dirname, '..', 'content'));
const records = generateRecords(content, { seed: 7, size: 800 });
const abstracts = records.map((record) => record.abstract.map(({ text }) => text).join(' '));

test('the same seed gives the same records, another seed others', () => {
  const again = generateRecords(content, { seed: 7, size: 800 });
  expect(JSON.stringify(again)).toBe(JSON.stringify(records));
  expect(JSON.stringify(generateRecords(content, { seed: 8, size: 800 }))).not.toBe(JSON.stringify(records));
});

test('one record in eight, the newest, has no headings', () => {
  const awaiting = records.filter((record) => record.headings.length === 0).length;
  expect(Math.abs(awaiting - 100)).toBeLessThan(20);
  expect(records.slice(-awaiting).every((record) => record.headings.length === 0)).toBe(true);
  expect(records.map((record) => record.entered)).toEqual(records.map((record) => record.entered).sort());
});

test('groups add up to the number of participants', () => {
  const trials = abstracts.flatMap((text) => [
    ...text.matchAll(/(\d+) [^.]*?\(n = (\d+)\) or [^.]*?\(n = (\d+)\)/g),
  ]);
  expect(trials.length).toBeGreaterThan(50);
  for (const [, all, a, b] of trials) expect(Number(a) + Number(b)).toBe(Number(all));
});

test('percentages fit their counts', () => {
  const shares = abstracts.flatMap((text) => [...text.matchAll(/(\d+) of (\d+) \((\d+)%\)/g)]);
  expect(shares.length).toBeGreaterThan(20);
  for (const [, part, whole, share] of shares) {
    expect(Math.abs((100 * Number(part)) / Number(whole) - Number(share))).toBeLessThanOrEqual(0.5);
  }
});

test('a conclusion of no clear effect goes with an interval that holds zero, and the reverse', () => {
  const number = (text: string | undefined) => Number((text ?? '').replace('−', '-'));
  let seen = 0;
  for (const text of abstracts) {
    const interval = /difference −?[\d.]+ [^,]*, 95%[a-zA-Z ]*? (−?[\d.]+) to (−?[\d.]+)\)/.exec(text);
    if (interval === null) continue;
    const holdsZero = number(interval[1]) <= 0 && number(interval[2]) >= 0;
    const open = /no clear effect|remains open|did not clearly differ/.test(text);
    seen += 1;
    expect({ text, open }).toEqual({ text, open: holdsZero });
  }
  expect(seen).toBeGreaterThan(200);
});

test('nothing was left unfilled', () => {
  const all = JSON.stringify(records);
  expect(all).not.toMatch(/undefined|NaN|\$\{|\[object|null null| {2}/);
});
