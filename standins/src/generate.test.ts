import { join } from 'node:path';
import type { BibRecord } from '@even-lantern/core';
import { readContent } from './application.js';
import { generateRecords, journalsFor, writeRecords } from './generate.js';
import { STUDY_DESIGNS } from './designs.js';
import { fitTogether } from './cast.js';

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

const textOf = ({ title, abstract }: BibRecord) => [title, ...abstract.map(({ text }) => text)].join(' ');

describe('what goes together', () => {
  const written = writeRecords(content, { seed: 11, size: 3000 });

  test('a journal fits its articles', () => {
    const inJournal = (name: string) => written.filter(({ record }) => record.journal === name);
    const shifts = inJournal('Journal of Applied Shift Studies');
    expect(shifts.length).toBeGreaterThan(10);
    expect(shifts.filter(({ topic }) => /newborn|foot|honey/.test(topic.id))).toEqual([]);
    // Words are met from their beginning: burnout is no burn, and feedback no back.
    expect(inJournal('Wound Matters').filter(({ topic }) => /burnout|mindful/.test(topic.id))).toEqual([]);
    for (const { record, topic } of inJournal('Maternal Care Today')) {
      const text = [record.title, ...record.abstract.map((each) => each.text), ...topic.keywords].join(' ');
      expect(text).toMatch(/mother|birth|breast|bab(y|ies)|midwi|labour|pregnan/i);
    }
    expect(journalsFor('Feedback on burnout afterwards', content.people)).toEqual([
      'Mind and Ward', 'Open Trials in Care', 'Archives of Everyday Health',
    ]); // prettier-ignore
  });

  test('a patient is as old as the people, and of their sex', () => {
    const reports = written
      .filter(({ design }) => design === 'case report')
      .map(({ record }) => textOf(record));
    expect(reports.length).toBeGreaterThan(15);
    expect(
      reports.filter((text) =>
        /year-old (woman|man|boy|girl), one of our (newborn|neonat|preterm)/.test(text),
      ),
    ).toEqual([]);
    expect(
      reports.filter((text) => /\b(man|boy)\b.*(mothers|women|midwives)|man in her|woman in his/.test(text)),
    ).toEqual([]);
    expect(
      reports.filter((text) => /[345]\d-year-old \w+, one of our (older|teenagers|children)/.test(text)),
    ).toEqual([]);
  });

  test('parts are fewer than wholes: people in groups, ways of measuring in reports', () => {
    const numbers = [...Array(41).keys()].map(String);
    const words = 'no one two three four five six seven eight nine ten eleven twelve'.split(' ');
    const count = (text: string | undefined) =>
      Math.max(numbers.indexOf(text ?? ''), words.indexOf(text?.toLowerCase() ?? ''));
    let seen = 0;
    for (const { record } of written) {
      const [, groups, people] = /\((\w+) groups, (\w+) /.exec(textOf(record)) ?? [];
      const [, reports, ways] =
        /Reports numbered (\w+)\. .* in (\w+) different ways/.exec(textOf(record)) ?? [];
      if (groups !== undefined) expect(count(people)).toBeGreaterThanOrEqual(3 * count(groups));
      if (reports !== undefined) expect(count(ways)).toBeLessThan(count(reports));
      if (groups !== undefined || reports !== undefined) seen += 1;
    }
    expect(seen).toBeGreaterThan(5);
  });

  test('nobody asks after years for what was over in a month', () => {
    const late = written
      .map(({ record }) => textOf(record))
      .filter((text) => /survey \w+ years ago|answered a form each year/.test(text));
    expect(late.length).toBeGreaterThan(20);
    expect(late.filter((text) => /measured [^.]*(within|at 30 days|on the first)/.test(text))).toEqual([]);
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
