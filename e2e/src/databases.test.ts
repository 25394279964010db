/** One strategy in several databases: headings settled, strings written by hand, databases added, releases. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Key, type Browser } from './browser.js';
import { openReview } from './opened.js';
import type { Stack } from './stack.js';

let stack: Stack;
let browser: Browser;
let base: string;

beforeAll(async () => {
  ({ stack, browser, base } = await openReview());
  await browser.sees('In adult hospital staff');
});
afterAll(async () => {
  await browser.close();
  await stack.stop();
});

const accessible = async (screen: string) =>
  expect([screen, await browser.seriousFindings()]).toEqual([screen, []]);
const searchesIn = async (database: string) => {
  await browser.goTo(`${base}/searches?database=${database}`);
  await browser.sees('What it cannot say');
};
const choose = (text: string) =>
  browser.driver.executeScript(
    `[...document.querySelectorAll('[role=grid] button')].find((each) => each.textContent.includes(${JSON.stringify(text)})).click()`,
  );
/** the count of the line that says this */
const countOf = (text: string) =>
  browser.driver.executeScript<string>(
    `return [...document.querySelectorAll('[role=grid] button')].find((each) => each.textContent.includes(${JSON.stringify(text)}))?.lastElementChild.textContent ?? ''`,
  );
const counts = async (text: string, expected: (count: string) => boolean) =>
  browser.driver.wait(async () => expected(await countOf(text)), 30_000, `the count of ${text} never came`);
const string = () => browser.textOf('[data-testid=string]');

test('what nobody settled is asked beside the strategy; confirmed there, the line is searched', async () => {
  await searchesIn('wardline');
  await browser.sees('6 things to settle before this can be run');
  await (await browser.find('summary.problem')).click();
  await browser.sees('Duty patterns?');
  await accessible('things to settle');
  await (await browser.find('[aria-label="Confirm Duty patterns for Shift work"]')).click();
  await browser.sees('5 things to settle before this can be run');
  await choose('Shift work');
  await browser.textWhen('[data-testid=string]', (text) => text === 'wn.subject ==/narrower "Duty patterns"');
});

test('a loss is told with its place and what it comes to in records', async () => {
  await searchesIn('assayhouse');
  await choose('bright within 3 words');
  await browser.textWhen('[data-testid=string]', (text) => text.includes('&'));
  expect(await string()).toBe("(text ~ 'bright' & text ~ 'light*')");
  await browser.textWhen('section[aria-label="What is lost"]', (text) =>
    /within 3 words of each other.*\n?.*Finds more: \d+ records? too many, 0 missed/s.test(text),
  );
});

test('a line is written by hand: the error stands in its place, is mended, and the lanes can be taken back', async () => {
  await searchesIn('corvane');
  await choose('phototherap');
  await browser.press('e');
  const editor = await browser.find('.cm-content');
  await browser.press(Key.chord(Key.CONTROL, 'a'), Key.DELETE);
  await editor.sendKeys('title("light" OR');
  await browser.sees('At 15: Expected “)” at the end of the call');
  await accessible('editing as text');
  await browser.find('.cm-lintRange-error');
  await browser.press(Key.chord(Key.CONTROL, 'a'), Key.DELETE);
  await editor.sendKeys('hea');
  await browser.find('.cm-tooltip-autocomplete');
  await browser.textWhen('.cm-tooltip-autocomplete', (text) => text.includes('heading with narrower'));
  await editor.sendKeys(Key.ENTER);
  await editor.sendKeys('photo');
  await browser.textWhen('.cm-tooltip-autocomplete', (text) => text.includes('also phototherapy'));
  await editor.sendKeys(Key.ENTER);
  await browser.textWhen('section[aria-label="What it means"]', (text) =>
    text.includes('the heading Light therapy, with narrower'),
  );
  await counts('Light therapy, with narrower (written by hand)', (count) => /^\d/.test(count));
  await editor.sendKeys(Key.ESCAPE);
  await browser.sees('Written by hand by');
  expect(await string()).toBe('heading("Light therapy", narrower)');
  await browser.driver.navigate().refresh();
  await browser.sees('the heading Light therapy, with narrower (written by hand)');
  await choose('written by hand');
  await browser.press('e');
  await (await browser.named('Take what the lanes give')).click();
  await counts('phototherap*', (count) => /^\d/.test(count));
  await browser.textWhen('[data-testid=string]', (text) => text === 'words("phototherap*")');
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await browser.sees('the heading Light therapy, with narrower (written by hand)');
});

test('an SRU server is added by its address, counted, run and read like the others', async () => {
  await browser.goTo(`${base}/databases`);
  await browser.sees('in none of the others');
  await accessible('where to search');
  await (await browser.find('main h2 a')).click();
  await browser.textWhen('section[aria-label="For this question"]', (text) =>
    /Skein Citation Index\s+\d+/.test(text),
  );
  await browser.textWhen('section[aria-label="What it holds"]', (text) => /Randomised trial/.test(text));
  await accessible('one database');
  await browser.press(Key.chord(Key.CONTROL, 'k'));
  await (await browser.find('[cmdk-input]')).sendKeys('learn about mindry', Key.ENTER);
  await browser.textWhen('h1', (text) => text.includes('Mindry Behavioural Abstracts'));
  await browser.press(Key.chord(Key.CONTROL, 'k'));
  await (await browser.find('[cmdk-input]')).sendKeys('where to search', Key.ENTER);
  await (await browser.named('Add a database')).click();
  await (await browser.find('input[inputmode=url]')).sendKeys(stack.plainServer, Key.ENTER);
  await browser.sees('A first search');
  await accessible('adding a server');
  await (await browser.find('option[value=corvane-subject-tree]')).click();
  await browser.textWhen('[data-testid=example]', (text) => text.includes('dc.subject == "Shift work"'));
  await (await browser.named('Add Osier Open Repository')).click();
  await browser.sees('added by its address');
  const changeIt = await browser.find('[aria-label="Change what is said of Osier Open Repository"]');
  await changeIt.sendKeys(Key.ENTER);
  await browser.sees('What is said of Osier Open Repository');
  await browser.sees('A first search');
  await accessible('changing what is said of a server');
  await (await browser.find('form input')).sendKeys(' of deposits');
  await (await browser.named('Save')).click();
  await browser.sees('Changed what is said of Osier Open Repository of deposits.');
  await searchesIn('osier-open-repository');
  expect(await string()).toContain('cql.anywhere = "phototherap*"');
  await choose('Light therapy');
  expect(await string()).toMatch(/^\(dc\.subject == "Light therapy" or dc\.subject == "/);
  await (await browser.named('Run and log')).click();
  await browser.sees(' records fetched.');
  await (await browser.named('Ledger')).click();
  await browser.textWhen('section[aria-label=Ledger]', (text) =>
    /Osier Open Repository of deposits\s+release not told/.test(text),
  );
});

test('a database is added by hand: strings to copy, counts entered, the exported file given, run and read', async () => {
  await browser.goTo(`${base}/databases/add?how=hand`);
  await (await browser.find('form input')).sendKeys('Ferrow Index');
  await accessible('adding a database by hand');
  await (await browser.named('Add Ferrow Index')).click();
  await browser.sees('Enter what it finds');
  await searchesIn('ferrow-index');
  await accessible('asking by hand');
  await (await browser.find('input[aria-label^="Records that L"]')).sendKeys('2', Key.ENTER);
  await browser.sees('2, entered by');
  const file = join(browser.downloads, '..', 'export.ris');
  writeFileSync(
    file,
    ['Lamps in the dark', 'Lumi\u00e8re et si\u00e8ste']
      .map((title) => `TY  - JOUR\r\nTI  - ${title}\r\nPY  - 2021\r\nER  - \r\n`)
      .join(''),
    'latin1',
  );
  await (
    await browser.driver.findElement({ css: 'section[aria-label=String] input[type=file]' })
  ).sendKeys(file);
  await browser.sees('2 records given.');
  // Read again, its records take the place of those that it brought before.
  for (const encoding of ['koi8-r', 'windows-1252']) {
    await browser.pick('Encoding of the file', encoding);
    await browser.sees(`Read as ${encoding}, as you said.`);
  }
  await browser.sees('2 records given.');
  await (await browser.named('Run and log')).click();
  await browser.sees('Logged, Ferrow Index: 2 hits, 2 records fetched.');
  await (await browser.named('Read them')).click();
  await browser.sees('Lamps in the dark');
  await browser.sees('Lumi\u00e8re et si\u00e8ste');
});

test('a simulated database goes on to its next release, and a run can still be made against the one before', async () => {
  await browser.goTo(`${base}/databases`);
  await (await browser.named('Go on to 2027-01-15')).click();
  await browser.sees('Corvane Medical Index is now in release 2027-01-15.');
  await searchesIn('corvane');
  await browser.sees('release 2027-01-15');
  await browser.pick('Release to run against', '2026-10');
  await browser.sees('Against release 2026-10-01');
  await (await browser.named('Run and log')).click();
  await browser.sees(' records fetched.');
  await (await browser.named('Ledger')).click();
  await browser.textWhen('section[aria-label=Ledger]', (text) =>
    /Corvane Medical Index\s+release 2026-10-01/.test(text),
  );
});
