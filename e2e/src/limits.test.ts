/** Limits as a person sets them: tried, gathered, gone too far and taken back, reasoned, logged. */
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

const number = (text: string) => Number((text.split(' was ')[0] ?? '').replace(/[^\d]/g, ''));
const isPosition = (text: string) => /^\d+ of [\d\u2009]+$/.test(text);
const isCount = (text: string) => /^\d[\d\u2009]*( was .*)?$/.test(text.trim());
/** What remains, once it is counted and is what is waited for. */
const remains = async (wanted: (count: number) => boolean = () => true) =>
  number(
    await browser.textWhen(
      '[data-testid=remains][aria-busy=false]',
      (text) => isCount(text) && wanted(number(text)),
    ),
  );
const step = (kind: string) => `[data-limit=${kind}]`;
const row = (kind: string) => browser.find(`${step(kind)} button`);
const inspector = 'aside[aria-label=Limit]';

async function accessible(screen: string): Promise<void> {
  expect([screen, await browser.seriousFindings()]).toEqual([screen, []]);
}

async function setYear(label: 'From' | 'To', year: string): Promise<void> {
  // Not by a click: while counts come in, what is in the inspector moves.
  const field = await browser.saying(`${inspector} label:has(input)`, label);
  await browser.driver.executeScript('arguments[0].querySelector("input").focus()', field);
  await browser.press(Key.chord(Key.CONTROL, 'a'), year, Key.ENTER);
}

test('each limit shows what it takes, and the steps add up', async () => {
  await browser.goTo(stack.address);
  await (await browser.named('Continue as')).click();
  await (await browser.named('Bright light at night')).click();
  await browser.sees('In adult hospital staff');
  await browser.press(Key.chord(Key.ALT, '4'));
  await browser.sees('before any limit');
  const left = await remains();
  const shown = await browser.textOf('main');
  const losses = [...shown.matchAll(/−([\d\u2009]+)/g)].map(([, loss = '']) => number(loss));
  const before = number(/before any limit\s+([\d\u2009]+)/.exec(shown)?.[1] ?? '');
  expect(before - losses.reduce((sum, loss) => sum + loss, 0)).toBe(left);
  expect(losses.length).toBe(2);
  await browser.textWhen(step('years'), (text) => /kept records? among them/.test(text));
  await accessible('limits');
});

test('records that are lost only since nobody has indexed them are found among the lost, and by words', async () => {
  const before = await remains();
  await (await row('humans')).sendKeys('x');
  const less = await remains((count) => count < before);
  await browser.textWhen(step('humans'), (text) =>
    text.includes(`${before - less} merely lack the data (not recorded whether of people)`),
  );
  await (await browser.named('Find by words what lacks the data')).click();
  expect(await remains((count) => count > less)).toBe(before);
  await browser.textWhen(step('humans'), (text) => text.includes('own limit or words'));
});

test('years are set by key, by typing and by the handle; one step too far is seen and taken back with one key', async () => {
  const before = await remains();
  await (await row('years')).click();
  await browser.sees('Read some of what is');
  const first = await browser.find(`${inspector} [aria-label="First year"]`);
  await first.sendKeys(Key.ARROW_RIGHT);
  await browser.textWhen(step('years'), (text) => text.includes('from 2006'));
  const since2006 = await remains((count) => count < before);
  await setYear('From', '2012');
  await browser.textWhen(step('years'), (text) => text.includes('from 2012'));
  const fewer = await remains((count) => count < since2006);
  // By the mouse: the handle of the last year is drawn to the left.
  const last = await browser.find(`${inspector} [aria-label="Last year"]`);
  await browser.driver
    .actions()
    .move({ origin: last })
    .press()
    .move({ origin: last, x: -40 })
    .release()
    .perform();
  await browser.textWhen(step('years'), (text) => /2012 to 20[12]\d/.test(text));
  await remains((count) => count < fewer);
  await setYear('To', '1999');
  await browser.textWhen(inspector, (text) => text.includes('run backwards'));
  await setYear('To', '2012');
  await setYear('From', '2012');
  await browser.textWhen(step('years'), (text) => /2012 to 2012|publication 2012/.test(text));
  await (await browser.find('h1')).click();
  for (let undone = 0; undone < 4; undone += 1) {
    await browser.press(Key.chord(Key.CONTROL, 'z'));
    await browser.sees('Undone: changed Years');
    if ((await browser.textOf(step('years'))).includes('from 2005')) break;
    await browser.driver.sleep(400);
  }
  await browser.textWhen(step('years'), (text) => text.includes('from 2005'));
  expect(await remains((count) => count === before)).toBe(before);
  await accessible('a limit beside the profile');
});

test('limits are put in another order by their grips, with the mouse and with keys', async () => {
  const order = () =>
    browser.driver.executeScript<string>(
      "return [...document.querySelectorAll('[data-limit]')].map((each) => each.dataset.limit).join()",
    );
  const ordered = (kinds: readonly string[]) =>
    browser.driver.wait(async () => (await order()) === kinds.join(), 30_000, `not ${kinds.join()}`);
  const before = (await order()).split(',');
  const [first = '', second = '', ...others] = before;
  const grip = (kind: string) => browser.find(`${step(kind)} [data-grip]`);
  await browser.driver
    .actions()
    .move({ origin: await grip(first) })
    .press()
    .move({ origin: await grip(first), y: 30, duration: 200 })
    .move({ origin: await grip(second), y: 20, duration: 300 })
    .release()
    .perform();
  await ordered([second, first, ...others]);
  await (await grip(first)).sendKeys(' ');
  await browser.driver.sleep(200);
  await browser.press(Key.ARROW_UP);
  await browser.driver.sleep(200);
  await browser.press(' ');
  await ordered(before);
});

test('a limit is tried without being kept, and dropped with one key', async () => {
  const before = await remains();
  await browser.pick('Add a limit', 'Has an abstract');
  await browser.textWhen(step('abstract'), (text) => text.includes('being tried'));
  await remains((count) => count < before);
  await (await browser.find('h1')).click();
  await browser.press(Key.ESCAPE);
  expect(await remains((count) => count === before)).toBe(before);
  expect(await browser.driver.findElements({ css: step('abstract') })).toEqual([]);
});

test('limits are gathered without being counted, then applied together, and taken back in one step', async () => {
  const before = await remains();
  await (await browser.named('Gather, then apply')).click();
  await browser.pick('Add a limit', 'Has an abstract');
  await browser.pick('Add a limit', 'Sex');
  await browser.textWhen(inspector, (text) => text.includes('female'));
  await (await browser.find(`${inspector} input[type=checkbox]`)).click();
  expect(await remains()).toBe(before);
  await (await browser.named('Apply all 2')).click();
  await remains((count) => count < before);
  await (await browser.find('h1')).click();
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  expect(await remains((count) => count === before)).toBe(before);
});

test('all databases stand side by side, and a tab leads to one', async () => {
  await (await browser.named('All side by side')).click();
  await browser.sees('What is left after');
  await accessible('limits side by side');
  await (await browser.named('Wardline')).click();
  await browser.sees('before any limit');
  await browser.textWhen('header', (text) => text.includes('Wardline'));
  await (await browser.named('Corvane')).click();
  await browser.textWhen('header', (text) => text.includes('Corvane'));
});

test('a reason is asked for before the run, and stands in the ledger with the counts around the limit', async () => {
  const before = await remains();
  await browser.pick('Add a limit', 'Has an abstract');
  await (await browser.named('Keep this limit')).click();
  await browser.textWhen(step('abstract'), (text) => text.includes('no reason yet'));
  const expected = await remains((count) => count < before);
  await (await browser.find('h1')).click();
  await browser.press(Key.chord(Key.ALT, '3'));
  await browser.sees('within Has an abstract (own limit)');
  await (await browser.find('h1')).click();
  await browser.press('r');
  await browser.sees('Before this is logged');
  await accessible('reasons asked for');
  await browser.press('Without one there is nothing to judge by', Key.ENTER);
  await browser.sees(`: ${expected} hits, ${expected} records fetched.`);
  await (await browser.find('footer > button')).click();
  await (await browser.find('section[aria-label=Ledger] tbody a')).click();
  await browser.sees('Without one there is nothing to judge by');
  await browser.sees('Light sources of the kind asked about came in about 2005.');
  await accessible('an entry with limits');
});

test('evidence at hand is seen before limiting to it; the ladder is changed with a reason, and taken back', async () => {
  await browser.press(Key.chord(Key.ALT, '4'));
  await (await browser.named('Evidence at hand')).click();
  await browser.textWhen('main', (text) => /Randomised trial\s+answers the question\s+[1-9]/.test(text));
  await accessible('evidence at hand');
  await (await browser.find('[aria-label="Move Cohort study up the ladder"]')).click();
  await browser.sees('Why is the ladder changed?');
  await browser.press('Harms are asked about too', Key.ENTER);
  await browser.sees('because Harms are asked about too');
  await (await browser.find('h1')).click();
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await browser.textWhen('main', (text) => !text.includes('because Harms'));
});

test('a limit on designs shows what labels and words find without each other, and how each was measured', async () => {
  await (await browser.named('Try a limit to what answers')).click();
  await browser.textWhen(step('design'), (text) => text.includes('merely lack the data (no label yet)'));
  await browser.textWhen(inspector, (text) => /found by words, not by the own limit\s+[1-9]/.test(text));
  await browser.textWhen(inspector, (text) => /nearly all\s+\d+% \(\d+–\d+\)/.test(text));
  const own = await remains();
  await browser.driver
    .findElement({ xpath: `//aside//label[normalize-space(.)="words"]/input` })
    .sendKeys(Key.SPACE);
  const balanced = await remains((count) => count !== own);
  await browser.driver
    .findElement({ xpath: `//aside//label[normalize-space(.)="finds nearly all"]/input` })
    .click();
  await remains((count) => count > balanced);
  await accessible('a limit on designs');
  // The filter is changed: what it gains and misses follows.
  await (await browser.named('Change its words')).click();
  const words = await browser.find(`${inspector} fieldset textarea`);
  await words.sendKeys(Key.chord(Key.CONTROL, 'a'), 'title:nurs*', Key.TAB);
  await browser.textWhen(inspector, (text) => /found by the filter, not by your words\s+[1-9]/.test(text));
  await browser.textWhen(step('design'), (text) => text.includes('(own words)'));
  // So do its figures, in the order in which words are given back and taken.
  const figure = async (other?: string) =>
    (
      await browser.textWhen(inspector, (text) => {
        const told = /your words\s+(\d+%)/.exec(text)?.[1];
        return told !== undefined && told !== other;
      })
    ).replace(/.*your words\s+(\d+%).*/s, '$1');
  const narrow = await figure();
  await browser.sees('whose designs are known');
  await accessible('a filter of one’s own');
  const again = await browser.find(`${inspector} fieldset textarea`);
  await again.sendKeys(Key.chord(Key.CONTROL, 'a'), 'random*\ntrial*', Key.chord(Key.CONTROL, Key.ENTER));
  const wide = await figure(narrow);
  expect(number(wide)).toBeGreaterThan(number(narrow));
  // It is saved for all reviews, and taken from there.
  await (await browser.named('Save as a filter for all reviews')).click();
  await browser.press('Trials, in few words', Key.ENTER);
  await browser.sees('These are the words of “Trials, in few words”');
  await browser.textWhen(step('design'), (text) => text.includes('filter “Trials, in few words” by Mara'));
  await accessible('a saved filter');
  await (await browser.named('Back to the filter')).click();
  await browser.textWhen(step('design'), (text) => !text.includes('in few words'));
  await browser.pick('Take a saved filter', 'Trials, in few words');
  await browser.textWhen(step('design'), (text) => text.includes('filter “Trials, in few words” by Mara'));
  await (await browser.named('Take that filter away')).click();
  await browser.sees('Save as a filter for all reviews');
  await (await browser.named('Back to the filter')).click();
  await browser.textWhen(step('design'), (text) => !text.includes('in few words'));
  await (await browser.find('h1')).click();
  await browser.press(Key.ESCAPE);
});

test('the records are narrowed to a design, which a decision counts at once', async () => {
  await browser.press(Key.chord(Key.ALT, '5'));
  const narrow = 'select[aria-label="Narrow to a study design"]';
  const all = number((await browser.textWhen('[data-testid=position]', isPosition)).split(' of ')[1] ?? '');
  await browser.textWhen(narrow, (text) => /Randomised trial, \d/.test(text));
  const trials = number(/Randomised trial, ([\d\u2009]+)/.exec(await browser.textOf(narrow))?.[1] ?? '');
  expect(trials).toBeGreaterThan(10);
  expect(trials).toBeLessThan(all);
  await (await browser.find(narrow)).sendKeys('Randomised');
  await browser.textWhen('[data-testid=position]', (text) => text === `1 of ${trials}`);
  await accessible('records narrowed to a design');
  // Among the undecided there is one less as soon as one is kept.
  await browser.driver
    .findElement({ xpath: `//fieldset//label[.//span[contains(.,"undecided")]]//input` })
    .click();
  const undecided = number(
    (
      await browser.textWhen(
        '[data-testid=position]',
        (text) => isPosition(text) && !text.endsWith(` ${trials}`),
      )
    ).split(' of ')[1] ?? '',
  );
  await (await browser.find('h1')).click();
  await browser.press('u');
  await browser.textWhen('[data-testid=position]', (text) => text.endsWith(` of ${undecided - 1}`));
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await browser.textWhen('[data-testid=position]', (text) => text.endsWith(` of ${undecided}`));
  await browser.driver.navigate().refresh();
  await browser.textWhen('[data-testid=position]', (text) => text.endsWith(` of ${undecided}`));
});

test('the design of a record is told with its words, and corrected by a person', async () => {
  await browser.press(Key.chord(Key.ALT, '4'));
  await browser.press(Key.chord(Key.ALT, '5'));
  await browser.textWhen('section[aria-label="Study design"]', (text) =>
    /likely [A-Z].*for it: “/s.test(text),
  );
  await browser.pick('Judge the study design', 'Guideline');
  await browser.textWhen('section[aria-label="Study design"]', (text) =>
    /Guideline judged by Mara Quillfeather/.test(text.replace(/\s+/g, ' ')),
  );
  await accessible('a design that was judged');
  await browser.driver.navigate().refresh();
  await browser.textWhen('section[aria-label="Study design"]', (text) => text.includes('judged by'));
  await (await browser.named('Take back')).click();
  await browser.textWhen('section[aria-label="Study design"]', (text) => text.includes('likely'));
});
