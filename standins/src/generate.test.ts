import { join } from 'node:path';
import { readContent } from './application.js';
import { generateRecords, journalsFor, writeRecords } from './generate.js';
import { STUDY_DESIGNS } from './designs.js';
import { fitTogether } from './writing.js';

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
  expect(trials.length).toBeGreaterThan(20);
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

describe('what goes together', () => {
  const written = writeRecords(content, { seed: 11, size: 3000 });

  test('a journal fits its articles', () => {
    for (const { record, topic } of written)
      expect(journalsFor(topic, content.people)).toContain(record.journal);
    const wound = written.filter(({ record }) => record.journal === 'Journal of Applied Shift Studies');
    expect(wound.length).toBeGreaterThan(10);
    expect(wound.filter(({ topic }) => /newborn|foot|honey/.test(topic.id))).toEqual([]);
  });

  test('a place fits its people', () => {
    for (const topic of content.topics) {
      for (const people of topic.people) {
        const places = topic.places.filter((place) => fitTogether(people, place, content.people.fits));
        expect([people, places.length > 0]).toEqual([people, true]);
      }
    }
    const texts = written.map(({ record }) => record.abstract.map(({ text }) => text).join(' '));
    expect(
      texts.filter((text) => /care home residents[^.]* in (an|two|three) intensive care/.test(text)),
    ).toEqual([]);
  });

  test('a comparison fits its design: who is only watched is given nothing to compare with', () => {
    const watched = written.filter(({ design }) => design === 'cohort study');
    expect(watched.length).toBeGreaterThan(100);
    expect(
      watched.filter(({ record }) => /placebo|sham|deactivated/.test(JSON.stringify(record.abstract))),
    ).toEqual([]);
  });

  test('every design is written, in six manners at least', () => {
    expect([...content.studies.keys()].sort()).toEqual([...STUDY_DESIGNS].sort());
    for (const { design, methods } of content.studies.values())
      expect([design, methods.length >= 6]).toEqual([design, true]);
    const seen = new Set(written.map(({ design }) => design));
    expect(STUDY_DESIGNS.filter((design) => !seen.has(design))).toEqual([]);
  });

  test('most designs are labelled, some not, a few wrongly', () => {
    const quasi = written.filter(
      ({ design, record }) => design === 'quasi-experimental study' && record.abstract.length > 0,
    );
    const share = (label: string) =>
      quasi.filter(({ record }) => record.publicationTypes.includes(label)).length / quasi.length;
    expect(share('Quasi-experimental study')).toBeGreaterThan(0.6);
    expect(share('Randomised trial')).toBeGreaterThan(0.01);
    expect(share('Randomised trial')).toBeLessThan(0.12);
  });
});

test('volumes are counted from the first', () => {
  expect(records.filter(({ volume }) => Number(volume) < 1)).toEqual([]);
});

test('nothing was left unfilled', () => {
  const all = JSON.stringify(records);
  expect(all).not.toMatch(/undefined|NaN|\$\{|\[object|null null| {2}/);
});
