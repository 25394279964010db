/** The ledger as a person uses it: several databases side by side, run again, noted, sealed, begun anew, on a schedule. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Key, type Browser } from './browser.js';
import { openReview } from './opened.js';
import type { Stack } from './stack.js';

let stack: Stack;
let browser: Browser;
let review = '';

beforeAll(async () => {
  ({ stack, browser, review } = await openReview());
  await browser.sees('In adult hospital staff');
  await browser.driver.executeScript("localStorage.setItem('even-lantern-intro-searches', 'read')");
});
afterAll(async () => {
  await browser.close();
  await stack.stop();
});

const accessible = async (screen: string) =>
  expect([screen, await browser.seriousFindings()]).toEqual([screen, []]);
const ledger = 'section[aria-label=Ledger]';
const several = 'section[aria-label="Run in several databases"]';
const open = (path: string) => browser.goTo(`${stack.address}/reviews/${review}/${path}`);
const number = (text: string) => Number(text.replace(/[^\d]/g, ''));
/** Asks the server as the person in the browser does. */
const ask = <T>(method: string, path: string, body?: object) =>
  browser.driver.executeAsyncScript<T>(
    `const [method, path, body, done] = arguments;
     fetch('/api/' + path, {
       method,
       headers: { 'Content-Type': 'application/json', 'el-person': localStorage.getItem('even-lantern-person') },
       ...(body === null ? {} : { body: JSON.stringify(body) }),
     }).then(async (answer) => done((answer.headers.get('content-type') ?? '').includes('json') ? await answer.json() : await answer.text()));`,
    method,
    path,
    body ?? null,
  );
/** Waits until the strip tells of so many entries. */
const entries = (count: number) =>
  browser.textWhen('footer', (text) => text.includes(`${count} entries`) && !text.includes('Running now'));

test('three databases are run by one action, by keyboard; one fails, and the others go on', async () => {
  await open('searches');
  await browser.textWhen('[role=tablist]', (text) => /Skein \d/.test(text.replaceAll('\n', ' ')));
  await stack.trouble('assayhouse', 'refusing');
  await browser.press(Key.chord(Key.SHIFT, 'r'));
  await browser.find(several);
  const boxes = await browser.driver.findElements({ css: `${several} input[type=checkbox]` });
  // Corvane is chosen already, as the sheet that is shown.
  for (const i of [3, 4]) await boxes[i]?.sendKeys(Key.SPACE);
  await accessible('choosing databases to run in');
  const purpose = await browser.driver.findElement({ xpath: '//label[contains(., "What for")]/input' });
  await purpose.sendKeys('Search of the review', Key.ENTER);
  await browser.sees('The run in Assayhouse Reviews & Trials was interrupted');
  await browser.sees('Logged, Corvane Medical Index');
  await browser.sees('Logged, Skein Citation Index');
  await entries(4);
  await stack.trouble('assayhouse', null);
});

test('the ledger is narrowed by words, and an entry opens at an address of its own', async () => {
  await (await browser.find('footer > button')).click();
  await browser.textWhen(ledger, (text) => text.includes('Search of the review'));
  await accessible('the ledger');
  await (await browser.find(`${ledger} input[type=search]`)).sendKeys('assayhouse');
  await browser.textWhen(ledger, (text) => text.includes('1 entry fits') && text.includes('interrupted'));
  const field = await browser.find(`${ledger} input[type=search]`);
  await field.sendKeys(Key.chord(Key.CONTROL, 'a'), 'Corvane');
  await browser.textWhen(ledger, (text) => text.includes('2 entries fit'));
  await (await browser.find(`${ledger} tbody tr a`)).click();
  await browser.sees('Search of the review');
  expect(await browser.driver.getCurrentUrl()).toMatch(/\/ledger\/\d+$/);
  await accessible('an entry');
});

let first = 0;
let feed = '';

test('a schedule is set for the next minute', async () => {
  const { entries: runs } = await ask<{ entries: { entry: number }[] }>(
    'GET',
    `reviews/${review}/ledger/entries?database=skein`,
  );
  // The minute of the clock by which the server goes.
  const soon = new Date(Date.now() + 63_000);
  const time = `${String(soon.getHours()).padStart(2, '0')}:${String(soon.getMinutes()).padStart(2, '0')}`;
  const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
  const daily = { every: 'day', weekday: 1, day: 1, time, timeZone, entries: [runs[0]?.entry] };
  const [schedule] = await ask<{ feed: string; state: string; nextAt: string }[]>(
    'POST',
    `reviews/${review}/schedules`,
    daily,
  );
  feed = schedule?.feed ?? '';
  expect(feed).toMatch(/\/api\/.+/);
  expect(schedule?.state).toBe('active');
  // The very next time that the clock shows this minute.
  expect(Date.parse(schedule?.nextAt ?? '') - soon.setSeconds(0, 0)).toBe(0);
});

test('an entry is run again in the release that came since, and what drifted adds up', async () => {
  first = number(/ledger\/(\d+)$/.exec(await browser.driver.getCurrentUrl())?.[1] ?? '');
  await ask('POST', 'databases/corvane/advance');
  await (await browser.named('Run again, release 2027-01-15')).click();
  await browser.textWhen('[aria-label=Drift]', (text) => text.includes('new since'));
  const drift = await browser.textOf('[aria-label=Drift]');
  const sum = /([\d\u2009]+) \+ ([\d\u2009]+) − ([\d\u2009]+) = ([\d\u2009]+)/.exec(drift);
  const [then = 0, gained = 0, lost = 0, now = 0] = (sum ?? []).slice(1).map(number);
  expect(then + gained - lost).toBe(now);
  expect(gained).toBeGreaterThan(0);
  expect(drift).not.toContain('unexplained');
  await accessible('drift');
  // Against the release of then, the same is found again.
  await open(`ledger/${first}`);
  await (await browser.named('Run again in the release of then, 2026-10-01')).click();
  await browser.textWhen('[aria-label=Drift]', (text) => text.includes('Both found the same records'));
});

test('a search made elsewhere is entered, and what was wrong is corrected by another entry', async () => {
  await (await browser.find('footer > button')).click();
  await (await browser.named('Enter a search made elsewhere')).click();
  const form = 'form[aria-label="A search made elsewhere"]';
  await (await browser.find(`${form} input`)).sendKeys('Annals of Watchful Nights, volumes 3 to 9');
  await (await browser.find(`${form} input[type=number]`)).sendKeys('12');
  const file = join(browser.downloads, '..', 'found.ris');
  const paper = (title: string) => `TY  - JOUR\nTI  - ${title}\nPY  - 2020\nER  - \n`;
  writeFileSync(file, paper('What the lamp shows') + paper('Reading by the trolley'));
  const stages = 'nav[aria-label=Stages]';
  const unread = (text: string) => number(/[\d\s]+unread/.exec(text)?.[0] ?? '');
  const before = unread(await browser.textWhen(stages, (text) => unread(text) > 0));
  await browser.driver
    .findElement({ css: `${form} input[aria-label="File of the records found"]` })
    .sendKeys(file);
  await browser.textWhen(form, (text) => text.includes('2 records, beginning with “What the lamp shows”'));
  await accessible('a search made elsewhere');
  await (await browser.named('Enter it')).click();
  await browser.textWhen(ledger, (text) => text.includes('Annals of Watchful Nights'));
  await browser.textWhen(stages, (text) => unread(text) === before + 2);
  await (await browser.named('Annals of Watchful Nights, volumes 3 to 9')).click();
  await browser.sees('2 records, in found.ris');
  await (await browser.named('Correct it')).click();
  await browser.press('count', Key.TAB, '12', Key.TAB, '21', Key.TAB, 'figures exchanged', Key.ENTER);
  await browser.textWhen('[aria-label="Notes and corrections"]', (text) =>
    text.includes('figures exchanged'),
  );
});

test('the chain and a kept seal are verified; a seal of another ledger is not', async () => {
  await (await browser.find('footer > button')).click();
  await (await browser.named('Seal')).click();
  const box = 'section[aria-label=Seal]';
  const seal = await browser.textOf(`${box} [data-seal]`);
  const [count = '', hash = ''] = seal.split('-');
  const field = await browser.find(`${box} input`);
  await field.sendKeys(seal, Key.ENTER);
  // What the schedule may have added meanwhile stands behind the seal.
  await browser.textWhen(box, (text) => /ends at the seal|goes on from the seal/.test(text));
  await field.sendKeys(Key.chord(Key.CONTROL, 'a'), `${Number(count) + 3}-${hash}`, Key.ENTER);
  await browser.textWhen(box, (text) => text.includes('entries at its end are missing'));
  await accessible('a seal that does not fit');
  await browser.press(Key.ESCAPE);
});

test('from an entry one begins anew with one lane, and takes it back', async () => {
  // So that there is something to go back from.
  await open('searches');
  await browser.textWhen('[role=grid]', (text) => text.includes('nightwork*'));
  await (await browser.named('Take it out')).click();
  await browser.textWhen('[role=grid]', (text) => !text.includes('nightwork*'));
  await open(`ledger/${first}`);
  await (await browser.named('Begin anew from here')).click();
  await browser.textWhen('form[aria-label="Begin anew"]', (text) =>
    text.includes('night or rotating shifts'),
  );
  const boxes = await browser.driver.findElements({ css: 'form[aria-label="Begin anew"] label' });
  for (const box of boxes) if (!(await box.getText()).startsWith('night or')) await box.click();
  await accessible('beginning anew');
  await (await browser.named('Take up 1 lane')).click();
  await browser.textWhen('[role=grid]', (text) => text.includes('nightwork*'));
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await browser.textWhen('[role=grid]', (text) => !text.includes('nightwork*'));
});

test('a schedule fired while nobody looked, tells what is new, and feeds it to who knows its address', async () => {
  await open(`ledger/${first}`);
  await (await browser.named('Run on a schedule')).click();
  await browser.find('form[aria-label="Run on a schedule"]');
  await accessible('setting a schedule');
  await browser.goTo('about:blank');
  const done = async () => {
    const answer = await fetch(`${stack.address}/api/reviews/${review}/schedules`);
    const [schedule] = (await answer.json()) as { occurrences: { parts: { status: string }[] }[] }[];
    return schedule?.occurrences.some(({ parts }) => parts.some(({ status }) => status === 'done')) === true;
  };
  for (let tries = 0; tries < 100 && !(await done()); tries += 1) {
    await new Promise((again) => setTimeout(again, 1000));
  }
  // That nothing is new is told here, and is no news for those who read the feed.
  const atom = await (await fetch(`${stack.address}${feed}`)).text();
  expect([atom.includes('<title>New records: '), atom.includes('<entry>')]).toEqual([true, false]);
  await open('concepts?ledger=open');
  await (await browser.named('Schedules 1')).click();
  await browser.textWhen('section[aria-label=Schedules]', (text) => text.includes('nothing new'));
  await accessible('schedules');
  expect((await fetch(`${stack.address}/api/feeds/guessed.atom`)).status).toBe(404);
});

test('the whole review goes out as one file; here it is still, so it is not taken in a second time', async () => {
  await browser.goTo(`${stack.address}/reviews`);
  await browser.find('[aria-label="Save “Bright light at night” as one file"]');
  await accessible('reviews');
  const answer = await fetch(`${stack.address}/api/reviews/${review}/package.zip`);
  expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'application/zip']);
  const bytes = Buffer.from(await answer.arrayBuffer());
  const person = await browser.driver.executeScript<string>(
    "return localStorage.getItem('even-lantern-person')",
  );
  const again = await fetch(`${stack.address}/api/packages`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/zip', 'el-person': person },
    body: bytes,
  });
  expect([again.status, ((await again.json()) as { title: string }).title]).toEqual([
    409,
    'This review is here already: Bright light at night.',
  ]);
});
