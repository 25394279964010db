/** Lanes of their own: one that holds two concepts is split, left out, joined, and all of it is taken back. */
import { Key, type Browser } from './browser.js';
import { openReview } from './opened.js';
import type { Stack } from './stack.js';

let stack: Stack;
let browser: Browser;

beforeAll(async () => {
  ({ stack, browser } = await openReview());
  await browser.sees('In adult hospital staff');
  await browser.press(Key.chord(Key.ALT, '2'));
  await browser.sees('adds');
});
afterAll(async () => {
  await browser.close();
  await stack.stop();
});

const aside = 'aside[aria-label=Lane]';
const whole = async () => {
  const text = await browser.textWhen('[data-testid=whole]', (shown) => /^[\d\s]+$/.test(shown.trim()));
  return Number(text.replace(/\D/g, ''));
};
const wholeWhen = (passes: (count: number) => boolean) =>
  browser.driver.wait(async () => passes(await whole()), 30_000, 'the count did not become what it should');
const laneNames = async (): Promise<string[]> =>
  browser.driver.executeScript(
    "return [...document.querySelectorAll('section[aria-label^=\"Lane: \"]')].map((each) => each.getAttribute('aria-label').slice(6))",
  );
const lanesWhen = (count: number) =>
  browser.driver.wait(async () => (await laneNames()).length === count, 30_000, `not ${count} lanes`);
const undo = async () => {
  await (await browser.find('h1')).click();
  await browser.press(Key.chord(Key.CONTROL, 'z'));
};
/** Goes to the control by keyboard, as somebody would who cannot use a mouse. */
const focus = (css: string) =>
  browser.driver.executeScript('document.querySelector(arguments[0]).focus()', css);

let before: number;

test('by keyboard, a lane of two concepts is split, and a record must then hold one of each', async () => {
  before = await whole();
  await (await browser.find('[aria-label^="More about the lane sleepiness"]')).sendKeys(Key.ENTER);
  await browser.sees('Split: which terms are another concept?');
  expect(await browser.seriousFindings()).toEqual([]);
  const boxes = await browser.driver.findElements({ css: `${aside} form input[type=checkbox]` });
  await boxes[1]?.sendKeys(Key.SPACE);
  await (
    await browser.find(`${aside} form input:not([type=checkbox])`)
  ).sendKeys('sleep after the shift', Key.ENTER);
  await lanesWhen(5);
  expect((await laneNames())[4]).toBe('sleep after the shift');
  await wholeWhen((count) => count < before);
  await browser.textWhen(aside, (text) => /moved here Sleep\b[\s\S]*added Sleep\b/.test(text));
});

test('a lane is left out: it says so, and the whole and the strategy follow', async () => {
  const asked = await whole();
  await (await browser.find(`${aside} input.toggle`)).sendKeys(Key.SPACE);
  await browser.textWhen('section[aria-label="Lane: sleep after the shift"]', (text) =>
    text.includes('left out'),
  );
  await wholeWhen((count) => count !== asked);
  await browser.textWhen('main', (text) => text.includes('NOT'));
  expect(await browser.seriousFindings()).toEqual([]);
  await browser.press(Key.ESCAPE);
  await browser.press(Key.chord(Key.ALT, '3'));
  await browser.textWhen('[role=grid]', (text) => /\(L\d+ and L\d+ and L\d+ and L\d+\) not L\d+/.test(text));
  await browser.press(Key.chord(Key.ALT, '2'));
  await lanesWhen(5);
});

test('undo takes back leaving out, then the split', async () => {
  await undo();
  await browser.sees('Undone: left out');
  await undo();
  await lanesWhen(4);
  await wholeWhen((count) => count === before);
});

test('a further concept is begun, and joined to a lane, where a term it holds already stays once', async () => {
  await (await browser.find('[aria-label^="New lane"], [role=combobox][aria-label="New lane"]')).click();
  await (await browser.named('A further concept')).click();
  await lanesWhen(5);
  const field = await browser.find('section[aria-label="Lane: Further concept"] input');
  await field.sendKeys('lanternfolk*');
  await browser.textWhen('section[aria-label="Lane: Further concept"] [role=listbox]', (text) =>
    text.includes('lanternfolk'),
  );
  await field.sendKeys(Key.ENTER);
  await browser.textWhen('section[aria-label="Lane: Further concept"]', (text) =>
    text.includes('lanternfolk*'),
  );
  await field.sendKeys('LANTERNFOLK*');
  await browser.textWhen('section[aria-label="Lane: Further concept"] [role=listbox]', (text) =>
    text.includes('LANTERNFOLK'),
  );
  await field.sendKeys(Key.ENTER);
  await browser.sees('This lane holds lanternfolk* already.');
  await browser.find('.shown-here');
  await field.sendKeys(Key.ESCAPE);
  await (await browser.find(`${aside} [aria-label="Join the lane to another"]`)).click();
  await (await browser.named('timed exposure to bright light')).click();
  await lanesWhen(4);
  await browser.textWhen('section[aria-label^="Lane: timed"]', (text) => text.includes('lanternfolk*'));
});

test('a lane that ended is brought back with its terms', async () => {
  await focus('[aria-label^="More about the lane sleepiness"]');
  await browser.press(Key.ENTER);
  await (await browser.named('End this lane')).sendKeys(Key.ENTER);
  await lanesWhen(3);
  await undo();
  await browser.sees('Undone: ended');
  await lanesWhen(4);
  await browser.textWhen('section[aria-label^="Lane: sleepiness"]', (text) => text.includes('sleepi*'));
});

test('each screen is named; Tab leads past the header first; what closes gives the focus back', async () => {
  const title = () => browser.driver.getTitle();
  const named = (name: string) =>
    browser.driver.wait(async () => (await title()).startsWith(`${name} · `), 30_000, `not named ${name}`);
  const focused = () =>
    browser.driver.executeScript<string>(
      'return document.activeElement.id || document.activeElement.tagName + document.activeElement.getAttribute("aria-label")',
    );
  const focusComesBackTo = (element: string) =>
    browser.driver.wait(async () => (await focused()) === element, 30_000, `no focus on ${element}`);
  for (const [key, name] of [
    ['1', 'Question'],
    ['3', 'Searches'],
    ['4', 'Limits'],
    ['5', 'Records'],
    ['2', 'Concepts'],
  ] as const) {
    await browser.press(Key.chord(Key.ALT, key));
    await named(name);
  }
  const first = 'return document.querySelector("a[href], button, input").className';
  expect(await browser.driver.executeScript(first)).toBe('skip-link');
  await focus('.skip-link');
  await (await browser.find('.skip-link:focus')).sendKeys(Key.ENTER);
  await focusComesBackTo('stage');
  for (const chord of [Key.chord(Key.CONTROL, 'k'), '?']) {
    await focus('[aria-label^="More about the lane sleepiness"]');
    const before = await focused();
    await browser.press(chord);
    await browser.driver.wait(async () => (await focused()) !== before, 30_000, 'nothing opened');
    await browser.press(Key.ESCAPE);
    await focusComesBackTo(before);
  }
  await browser.press(Key.chord(Key.ALT, '3'));
  await browser.sees('Run and log');
  for (const [open, shown] of [
    [Key.chord(Key.SHIFT, 'r'), 'section[aria-label^="Run in several"]'],
    ['e', '.cm-content'],
  ] as const) {
    await focus('#stage');
    await browser.press(open);
    await browser.find(`${shown}:focus, ${shown} :focus`);
    await browser.press(Key.ESCAPE);
    await focusComesBackTo('stage');
  }
});

test('enlarged to 200 %, and on a telephone, each screen can be read: lanes show their terms, nothing goes beyond the screen', async () => {
  // 1280×800 enlarged twice is what a screen of half that is.
  for (const [width, height] of [
    [640, 400],
    [400, 800],
  ] as const) {
    await browser.resize(width, height);
    for (const stage of ['1', '2', '3', '4', '5']) {
      await browser.press(Key.chord(Key.ALT, stage));
      await browser.find('#stage h1');
      const beyond = await browser.driver.executeScript<number>(
        'const stage = document.getElementById("stage"); return stage.scrollWidth - stage.clientWidth',
      );
      expect([width, stage, beyond]).toEqual([width, stage, 0]);
    }
    await browser.press(Key.chord(Key.ALT, '2'));
    const lane = await browser.find('section[aria-label^="Lane: "]');
    // A box of no height has its rows beyond it.
    const shown = await browser.driver.executeScript<boolean[]>(
      `return [...arguments[0].querySelectorAll('li')].map((row) => {
        row.scrollIntoView({ block: 'center' });
        const { left, top, width, height } = row.getBoundingClientRect();
        return row.contains(document.elementFromPoint(left + width / 4, top + height / 2));
      })`,
      lane,
    );
    expect(shown.length).toBeGreaterThan(1);
    expect(shown).not.toContain(false);
    expect(await browser.seriousFindings()).toEqual([]);
  }
  await browser.resize(1280, 800);
});
