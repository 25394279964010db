/** A strategy between two people: edits taken back across reloads, and a peer review by the second. */
import { Key, type Browser } from './browser.js';
import { openReview } from './opened.js';
import type { Stack } from './stack.js';

let stack: Stack;
let browser: Browser;

beforeAll(async () => {
  ({ stack, browser } = await openReview());
  await browser.sees('In adult hospital staff');
  await browser.driver.executeScript("localStorage.setItem('even-lantern-intro-searches', 'read')");
  await (await browser.named('Searches')).click();
});
afterAll(async () => {
  await browser.close();
  await stack.stop();
});

const pane = '[aria-label="Peer review"]';
const focus = (selector: string) =>
  browser.driver.executeScript(`document.querySelector(${JSON.stringify(selector)}).focus()`);
const accessible = async (screen: string) =>
  expect([screen, await browser.seriousFindings()]).toEqual([screen, []]);
/** Waits until the lines of the sheet say something, or no longer. */
const sheet = (passes: (text: string) => boolean) => browser.textWhen('[role=grid]', passes);
const reload = async () => {
  await browser.driver.navigate().refresh();
  await sheet((text) => text.includes('L2'));
};

test('what was done is taken back and done again by key, also after the page was loaded anew', async () => {
  await sheet((text) => text.includes('nightwork*'));
  await (await browser.named('Take it out')).click();
  await browser.sees('Took out nightwork*');
  await sheet((text) => !text.includes('nightwork*'));
  await reload();
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await browser.sees('Undone: took out nightwork*');
  await sheet((text) => text.includes('nightwork*'));
  await reload();
  await browser.press(Key.chord(Key.CONTROL, Key.SHIFT, 'z'));
  await browser.sees('Done again: took out nightwork*');
  await sheet((text) => !text.includes('nightwork*'));
});

test('the one who asks for a peer review cannot judge; the version is kept', async () => {
  await browser.press('p');
  await browser.textWhen(pane, (text) => text.includes('Before you run a strategy'));
  await focus(`${pane} textarea`);
  await browser.press('Are the words for shifts complete?', Key.TAB, Key.ENTER);
  await browser.textWhen(pane, (text) => text.includes('0 of 6 points judged'));
  await browser.textWhen(pane, (text) => text.includes('Somebody else judges these'));
  await accessible('a peer review that was asked for');
});

test('a second person judges every point, comments on a line and finishes, all by keyboard', async () => {
  await (await browser.find('[aria-label^="Working as Mara"]')).click();
  await (await browser.find('input')).sendKeys('Odile Brandvik', Key.ENTER);
  await browser.textWhen(pane, (text) => text.includes('Are the words for shifts complete?'));
  // The first radio button of each point but one; that one has to change.
  const points = await browser.driver.executeScript<string[]>(
    `return [...document.querySelectorAll('${pane} [data-point]')].map((each) => each.dataset.point)`,
  );
  expect(points).toHaveLength(6);
  for (const [i, point] of points.entries()) {
    await focus(`${pane} [data-point="${point}"] input`);
    await browser.press(Key.SPACE);
    await browser.textWhen(pane, (text) => text.includes(`${i + 1} of 6 points judged`));
  }
  await focus(`${pane} [data-point=words] input`);
  await browser.press(Key.ARROW_LEFT, Key.TAB, 'Rosters are missing.', Key.TAB);
  // A comment goes to the line that is chosen.
  await focus('[role=grid] [data-line^="term:"]');
  await browser.press(Key.ENTER);
  await browser.textWhen(pane, (text) => text.includes('Comment on L1'));
  await focus(`${pane} [aria-label=Comments] form textarea`);
  await browser.press('With narrower ones, too?', Key.chord(Key.CONTROL, Key.ENTER));
  await browser.textWhen(pane, (text) => text.includes('1 comment open'));
  await sheet((text) => text.includes('comment open'));
  await accessible('a peer review that is being made');
  await focus(`${pane} [aria-label="What it comes to"] input`);
  await browser.press(Key.SPACE, Key.TAB, 'Nearly there.', Key.TAB, Key.ENTER);
  await browser.textWhen(pane, (text) => text.includes('eady to run, Odile Brandvik'));
  await browser.textWhen(pane, (text) => text.includes('has to change'));
});

test('the first person answers and settles, which undo takes back', async () => {
  await browser.driver.executeScript(`
    const people = await (await fetch('/api/people')).json();
    localStorage.setItem('even-lantern-person', people.find(({ name }) => name.startsWith('Mara')).id);
  `);
  await reload();
  const comments = `${pane} [aria-label=Comments]`;
  await browser.textWhen(comments, (text) => text.includes('With narrower ones, too?'));
  await (await browser.named('answer')).click();
  await browser.press('Yes, all of them.', Key.chord(Key.CONTROL, Key.ENTER));
  await browser.textWhen(comments, (text) => text.includes('Yes, all of them.'));
  await (await browser.named('settle')).click();
  await browser.textWhen(comments, (text) => text.includes('settled by Mara'));
  await (await browser.find('h1')).click();
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await browser.sees('Undone: settled a comment');
  await browser.textWhen(comments, (text) => !text.includes('settled by'));
});
