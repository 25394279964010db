/** Databases that refuse, are away, slow or odd: the person reads which and why, nothing else changes, and work goes on. */
import type { Browser } from './browser.js';
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

const searchesIn = async (database: string) => {
  await browser.goTo(`${base}/searches?database=${database}`);
  await browser.sees('What it cannot say');
};

afterEach(() => stack.trouble('wardline', null));

test.each([
  ['refusing', 'refuses to answer (status 403)'],
  ['unavailable', 'is not available just now (status 503)'],
  ['cut off', 'broke off in the middle of its answer'],
])('%s: the person reads which database and why, and the others go on', async (kind, reason) => {
  await stack.trouble('wardline', kind);
  await browser.goTo(`${base}/databases`);
  await browser.driver.wait(
    async () => (await browser.textOf('main')).includes(reason),
    60_000,
    `nothing tells that it ${reason}`,
  );
  expect(await browser.textOf('main')).toContain('Wardline Nursing & Allied Index does not answer');
  await browser.sees('Corvane Medical Index');
  await browser.goTo(`${base}/searches?database=corvane`);
  await browser.sees('Finds');
});

test('a slow one is marked as slow: its headings and counts stay, and it comes back by itself', async () => {
  await browser.goTo(`${base}/concepts?database=wardline`);
  // The trouble of the test before is over.
  await browser.textWhen('header', (text) => !/slow|does not answer/.test(text));
  // All that comes has come: counts, and the vocabularies that say where headings are from.
  await browser.textWhen(
    'main',
    (text) => /adds\s\d/.test(text) && !text.includes('…') && !text.includes('is not settled in'),
  );
  const lanes = async () => (await browser.textOf('main')).replace(/\s+/g, ' ');
  const before = await lanes();
  await stack.trouble('wardline', 'slow', undefined, 3000);
  await browser.textWhen('header', (text) => text.includes('slow'));
  await browser.sees('Wardline Nursing & Allied Index is slow.');
  const during = await lanes();
  expect(during.includes('does not answer')).toBe(false);
  expect(during.includes('Heading of')).toBe(before.includes('Heading of'));
  await stack.trouble('wardline', null);
  await browser.textWhen('header', (text) => !text.includes('slow'));
  expect(await lanes()).toBe(before);
});

test('one that fails every third call changes nothing on screen', async () => {
  await browser.goTo(`${base}/searches?database=wardline`);
  await browser.sees('Finds');
  const order = () => browser.textOf('[role=tablist], nav');
  const before = await order();
  await stack.trouble('wardline', 'flickering');
  for (let i = 0; i < 4; i += 1) {
    await new Promise((done) => setTimeout(done, 2500));
    expect(await browser.textOf('body')).not.toContain('does not answer');
    expect(await order()).toBe(before);
  }
  await stack.trouble('wardline', null);
});

test('an answer that cannot be read ends the run, with the place where it is broken', async () => {
  await searchesIn('assayhouse');
  await stack.trouble('assayhouse', 'broken XML');
  await (await browser.named('Run and log')).click();
  await browser.sees(' was interrupted:');
  await browser.sees('The XML is broken at line');
  await stack.trouble('assayhouse', null);
});

test('a count that changes between two pages ends the run, and what it had is kept', async () => {
  await stack.trouble('corvane', 'wrong counts');
  await browser.goTo(`${base}/searches?database=corvane`);
  await browser.sees('What it understood');
  await (await browser.named('Run and log')).click();
  await browser.sees(' was interrupted:');
  await browser.sees('the count changed from');
  await stack.trouble('corvane', null);
});

test('small pages only take longer: every record is fetched', async () => {
  await stack.trouble('skein', 'small pages');
  await searchesIn('skein');
  await (await browser.named('Run and log')).click();
  await browser.sees(' records fetched.');
  const [, hits, fetched] =
    /Logged, [^:]+: ([\d\u2009]+) hits, ([\d\u2009]+) records/.exec(await browser.textOf('main')) ?? [];
  expect(fetched).toBe(hits);
  await stack.trouble('skein', null);
});
