/** A researcher's whole path: from an empty review to the exported files, by mouse and keyboard. */
import { readFileSync, existsSync } from 'node:fs';
import { join } from 'node:path';
import { Key, openBrowser, type Browser } from './browser.js';
import { startStack, type Stack } from './stack.js';

let stack: Stack;
let browser: Browser;

beforeAll(async () => {
  [stack, browser] = await Promise.all([startStack(), openBrowser()]);
});
afterAll(async () => {
  await browser.close();
  await stack.stop();
});

const lane = (name: string) => `section[aria-label^="Lane: ${name}"]`;
/** the terms of a lane, without its input */
const terms = (name: string) => `${lane(name)} > div:nth-of-type(2)`;
const number = (text: string) => Number(text.replace(/[^\d]/g, ''));
/** a count, which for a while also says what it was */
const isCount = (text: string) => /^\d[\d\u2009]*( was .*)?$/.test(text.trim());
/** What all lanes find together, once it is counted: until then the count before stands there, in grey. */
const whole = async () => {
  await browser.textWhen('main', (text) => !text.includes('counting …'));
  return number((await browser.textWhen('[data-testid=whole]', isCount)).split(' was ')[0] ?? '');
};

async function accessible(screen: string): Promise<void> {
  expect([screen, await browser.seriousFindings()]).toEqual([screen, []]);
}

async function downloaded(name: string): Promise<string> {
  const path = join(browser.downloads, name);
  await browser.driver.wait(() => existsSync(path), 30_000, `${name} was not downloaded`);
  return readFileSync(path, 'utf8');
}

async function type(laneName: string, text: string): Promise<void> {
  const input = await browser.find(`${lane(laneName)} input`);
  await input.click();
  await input.sendKeys(Key.chord(Key.CONTROL, 'a'), Key.BACK_SPACE, text);
}

async function addWords(laneName: string, text: string): Promise<void> {
  await type(laneName, text);
  await (await browser.named(text)).click();
  await browser.textWhen(terms(laneName), (shown) => shown.includes(text.replaceAll('"', '')));
}

test('somebody new says who they are and sees the reviews', async () => {
  await browser.goTo(stack.address);
  await browser.sees('Who is working here?');
  await accessible('who is working here');
  await (await browser.find('input[autocomplete=name]')).sendKeys('Ilse Farrowmere', Key.ENTER);
  await browser.sees('Bright light at night');
  await accessible('reviews');
  await (await browser.named('Woken on call')).click();
  await browser.sees('Write it as you would say it');
});

test('the question is written, becomes a sentence, and is still there after a reload', async () => {
  await (
    await browser.find('section[aria-label=Population] textarea')
  ).sendKeys('volunteers on rural ambulance rotas');
  await browser.press(Key.TAB, Key.TAB, Key.TAB, Key.TAB);
  await (await browser.find('section[aria-label=Intervention] textarea')).sendKeys('being woken on call');
  const sentence = 'In volunteers on rural ambulance rotas, does being woken on call affect …?';
  await browser.textWhen('[data-testid=sentence]', (text) => text === sentence);
  await accessible('question');
  await browser.driver.navigate().refresh();
  await browser.textWhen('[data-testid=sentence]', (text) => text === sentence);
});

test('a plain word leads to the heading it stands for, and is added by keyboard', async () => {
  await (await browser.named('Map the concepts')).click();
  await browser.sees('This lane is empty.');
  await type('volunteers', 'ambulance volunteers');
  await browser.sees('“ambulance volunteers” is no heading, this is used for it');
  await browser.sees('Unpaid people who answer emergency calls.');
  await accessible('concepts with a lookup open');
  await browser.press(Key.ENTER);
  await browser.textWhen(terms('volunteers'), (text) => /Volunteer responders\s+adds\s+\d+/.test(text));
  await addWords('volunteers', 'volunteer*');
  await type('being woken', 'on-call work');
  await browser.sees('“on-call work” is no heading, this is used for it');
  await browser.press(Key.ENTER);
  await browser.textWhen(terms('being woken'), (text) => text.includes('On-call duty'));
  const before = await whole();
  await addWords('being woken', '"on call"');
  await browser.driver.wait(
    async () => (await whole()) > before,
    30_000,
    'words for records without headings add none',
  );
});

test.each([
  ['a*', '“a*” is unfinished: write at least 3 letters before the *.'],
  ['"on call', 'A quotation mark is not closed.'],
  ['x'.repeat(1001), 'This term has 1001 characters; 1000 is the most.'],
])('%.12s is explained where it is typed, and stays there', async (text, message) => {
  await type('volunteers', text);
  await browser.textWhen(`${lane('volunteers')} [role=alert]`, (shown) => shown.includes(message));
  await browser.press(Key.ESCAPE);
  await (await browser.find('h1')).click();
});

test('Enter in an empty lane says what to do', async () => {
  await type('volunteers', '');
  await browser.press(Key.ENTER);
  await browser.textWhen(`${lane('volunteers')} [role=alert]`, (text) =>
    text.includes('This term is empty.'),
  );
});

/** What all lanes find together before terms are tried. */
let original = 0;

test('a term is taken out and undone, and edited beside the lanes with its count following', async () => {
  const before = (original = await whole());
  await (await browser.named('“on call”')).click();
  await browser.sees('Take out of the lane');
  await accessible('concepts with the inspector');
  await (await browser.named('Take out of the lane')).click();
  await browser.driver.wait(async () => (await whole()) < before, 30_000, 'the count did not fall');
  await (await browser.find('h1')).click();
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await browser.driver.wait(async () => (await whole()) === before, 30_000, 'the count did not come back');
  await (await browser.named('volunteer*')).click();
  const words = await browser.find('aside[aria-label=Term] input');
  await words.sendKeys(Key.chord(Key.CONTROL, 'a'), 'zebra*', Key.ENTER);
  await browser.textWhen(lane('volunteers'), (text) => text.includes('finds nothing'));
  await words.sendKeys(Key.chord(Key.CONTROL, 'a'), 'volunteer*', Key.ENTER);
  await browser.driver.wait(async () => (await whole()) === before, 30_000, 'the count did not come back');
});

test('when somebody else changed the term, both versions are shown and one is taken', async () => {
  await browser.driver.executeAsyncScript(`
    const done = arguments[arguments.length - 1];
    const review = location.pathname.split('/')[2];
    (async () => {
      const { lanes } = await (await fetch('/api/reviews/' + review)).json();
      const term = lanes.flatMap(({ terms }) => terms).find(({ content }) => content.text === 'volunteer*');
      await fetch('/api/terms/' + term.id, {
        method: 'PATCH',
        headers: { 'Content-Type': 'application/json', 'el-person': localStorage.getItem('even-lantern-person'), 'If-Match': String(term.version) },
        body: JSON.stringify({ content: { ...term.content, field: 'title' } }),
      });
      done();
    })();
  `);
  const words = await browser.find('aside[aria-label=Term] input');
  await words.sendKeys(Key.chord(Key.CONTROL, 'a'), 'volunteers', Key.ENTER);
  await browser.sees('Somebody else changed this term in the meantime.');
  await browser.sees('Theirs: volunteer* (title only)');
  await browser.sees('Yours: volunteers (title, abstract, keywords)');
  await (await browser.named('Keep mine')).click();
  await browser.textWhen(lane('volunteers'), (text) => /volunteers\s+adds\s+\d/.test(text));
  await words.sendKeys(Key.chord(Key.CONTROL, 'a'), 'volunteer*', Key.ENTER);
  await browser.textWhen(lane('volunteers'), (text) => text.includes('volunteer*'));
  await browser.driver.wait(async () => (await whole()) === original, 30_000, 'the count did not come back');
});

test('the strategy is numbered, run and logged by key', async () => {
  const expected = await whole();
  await (await browser.find('h1')).click();
  await browser.press(Key.chord(Key.ALT, '3'));
  await browser.sees('L7 as Corvane Medical Index gets it');
  expect(await browser.textOf('[data-testid=string]')).toBe(
    '(heading("Volunteer responders", narrower) OR words("volunteer*")) AND ' +
      '(heading("On-call duty", narrower) OR words("on call"))',
  );
  await accessible('searches');
  await (await browser.find('h1')).click();
  await browser.press('r');
  await browser.sees(`: ${expected} hits, ${expected} records fetched.`);
});

test('the strategy stands beside that of another database, and what is said otherwise there is told', async () => {
  await browser.pick('Another database beside', 'Skein');
  await browser.sees('searched as words, since this database has no headings');
  await browser.sees('"volunteer responders" OR');
  await accessible('two databases');
  await (await browser.named('One alone')).click();
  await browser.sees('L7 as Corvane Medical Index gets it');
});

test('a database is left out of the review, and the reason is kept', async () => {
  await (await browser.named('Where to search')).click();
  const skein = 'li:has([name=search-skein])';
  await (await browser.find(`${skein} label:nth-of-type(2) input`)).sendKeys(Key.SPACE);
  await (await browser.find('[aria-label="Note on Skein Citation Index"]')).sendKeys('Too broad', Key.TAB);
  await accessible('where to search');
  await browser.driver.navigate().refresh();
  await browser.sees('Where to search');
  const note = await browser.find('[aria-label="Note on Skein Citation Index"]');
  expect(await note.getAttribute('value')).toBe('Too broad');
  await browser.press(Key.chord(Key.ALT, '3'));
  await browser.sees('L7 as Corvane Medical Index gets it');
});

test('records are read and decided with one key, and a decision is undone', async () => {
  await browser.press(Key.chord(Key.ALT, '5'));
  await browser.sees('Set aside');
  await browser.textWhen('[data-testid=position]', (text) => text.startsWith('1 of'));
  await browser.find('article mark');
  await accessible('records');
  await (await browser.find('h1')).click();
  for (const [key, position] of [
    ['k', '2 of'],
    ['k', '3 of'],
    ['u', '4 of'],
    ['a', '5 of'],
  ] as const) {
    await browser.press(key);
    await browser.textWhen('[data-testid=position]', (text) => text.startsWith(position));
  }
  const decisions = 'aside[aria-label=Narrow] fieldset';
  await browser.textWhen(decisions, (text) => /keep\s+2\s+unsure\s+1\s+set aside\s+1/.test(text));
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await browser.textWhen(decisions, (text) => /keep\s+2\s+unsure\s+1\s+set aside\s+0/.test(text));
});

test('every record can be reached: the last one is opened by going up from the list’s end', async () => {
  const total = number((await browser.textOf('[data-testid=position]')).split('of')[1] ?? '');
  const list = await browser.find('[role=listbox][aria-label=Records]');
  await browser.driver.executeScript('arguments[0].scrollTop = arguments[0].scrollHeight', list);
  await browser.find(`[role=option][aria-posinset="${total}"] .font-serif`);
});

test('the kept records are exported as RIS and CSL-JSON', async () => {
  await (await browser.named('RIS')).click();
  const ris = await downloaded('kept.ris');
  expect(ris.match(/^TY {2}- JOUR/gm)).toHaveLength(2);
  expect(ris.match(/^AN {2}- CMI\d{7}/gm)).toHaveLength(2);
  await (await browser.named('CSL-JSON')).click();
  const csl = JSON.parse(await downloaded('kept.csl.json')) as { id: string; title: string }[];
  expect(csl.map(({ id }) => id)).toEqual([...ris.matchAll(/^ID {2}- (.*)\r$/gm)].map(([, id]) => id));
});

test('the ledger opens from the strip and is exported as CSV and Markdown', async () => {
  await (await browser.find('footer > button')).click();
  await browser.textWhen('section[aria-label=Ledger]', (text) => text.includes('What was searched'));
  await accessible('ledger');
  await (await browser.named('CSV')).click();
  const csv = await downloaded('ledger.csv');
  expect(csv).toContain('Ilse Farrowmere');
  expect(csv.trim().split('\r\n')).toHaveLength(8);
  await (await browser.named('Markdown')).click();
  const markdown = await downloaded('ledger.md');
  expect(markdown).toContain('# Ledger: Woken on call');
  expect(markdown).toContain('- Outcome: complete');
  const fingerprint = /fingerprint \(.*?\): `([0-9a-f]{64})`/.exec(markdown)?.[1];
  await (await browser.find('section[aria-label=Ledger] tbody a')).click();
  await browser.sees(fingerprint ?? 'no fingerprint');
});

test('a run that is cut off in the middle is logged as interrupted, with what it had', async () => {
  await browser.press(Key.chord(Key.ALT, '3'));
  await browser.sees('L7 as Corvane Medical Index gets it');
  await (await browser.find('h1')).click();
  // Four lines counted, then nothing more.
  stack.cutAfter(4);
  await browser.press('r');
  await browser.sees(' was interrupted:');
  await browser.sees('What it had is kept: 4 of 7 lines counted');
  stack.cutAfter(null);
  await (await browser.find('footer > button')).click();
  await browser.textWhen('[data-entry="2"]', (text) => text.includes('not counted'));
  await browser.sees('Chain verified');
});

test('when the database goes away the counts say so, nothing is lost, and they come back', async () => {
  await stack.stopStandIns();
  await (await browser.named('Ledger 2 entries')).click();
  await browser.press(Key.chord(Key.ALT, '2'));
  await type('volunteers', 'pager*');
  await browser.textWhen(`${lane('volunteers')} [role=alert]`, (text) => text.includes('does not answer'));
  const kept = await browser.find(`${lane('volunteers')} input`);
  expect(await kept.getAttribute('value')).toBe('pager*');
  await stack.startStandIns();
  // It comes back by itself.
  await browser.textWhen('header', (text) => !text.includes('does not answer'));
  expect(await whole()).toBeGreaterThan(0);
});

test('the demo review is filled, and works in the dark theme and on a narrow screen', async () => {
  await browser.goTo(`${stack.address}/reviews`);
  await (await browser.named('Bright light at night')).click();
  await (await browser.named('Concepts')).click();
  expect(await whole()).toBeGreaterThan(100);
  await (await browser.named('Switch between light and dark')).click();
  await browser.textWhen(lane('hospital staff'), (text) => text.includes('adds'));
  await accessible('concepts in the dark theme');
  await browser.resize(400, 800);
  await (await browser.named('Records')).click();
  await browser.sees('Unsure');
  await accessible('records on a narrow screen');
  const overflow = await browser.driver.executeScript<number>(
    'return document.documentElement.scrollWidth - document.documentElement.clientWidth',
  );
  expect(overflow).toBe(0);
});
