/** A strategy as a librarian builds it: own lines, leaving out, checks mended and let stand, all by keyboard. */
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
const grid = '[role=grid]';
/** The hits of the line that says this, once they are what is waited for. */
async function hits(
  said: string,
  wanted: (count: number) => boolean = () => true,
  rows = '[data-line]',
): Promise<number> {
  const script = `return [...document.querySelectorAll('[role=grid] ${rows}')].find((each) => each.textContent.includes(${JSON.stringify(said)}))?.lastElementChild.textContent ?? ''`;
  let found = NaN;
  await browser.driver.wait(async () => {
    const text = await browser.driver.executeScript<string>(script);
    found = /\d/.test(text) ? number(text) : NaN;
    return !Number.isNaN(found) && wanted(found);
  }, 30_000);
  return found;
}
const total = async (wanted: (count: number) => boolean = () => true) =>
  number(
    await browser.textWhen(
      '[role=tab][aria-selected=true] .count',
      (text) => /^\d/.test(text) && wanted(number(text)),
    ),
  );
/** Those of a line of one’s own. */
const ownHits = (said: string, wanted?: (count: number) => boolean) =>
  hits(said, wanted, '[data-line^="own:"]');
async function accessible(screen: string): Promise<void> {
  expect([screen, await browser.seriousFindings()]).toEqual([screen, []]);
}
/** Waits until the text of a line has the focus. */
const writing = () =>
  browser.driver.wait(
    async () =>
      browser.driver.executeScript<boolean>(
        "return document.activeElement?.classList.contains('cm-content') === true",
      ),
    30_000,
  );
/** Puts the focus on the row of a line by its number, as keys would. */
const toRow = async (line: string) => {
  await browser.driver.executeScript(
    `[...document.querySelectorAll('[role=grid] [data-line]')].find((each) => each.textContent.startsWith(${JSON.stringify(line)}))?.focus()`,
  );
};

test('the sheets of all databases are tabs with their totals, and are gone to by key', async () => {
  await browser.goTo(stack.address);
  await (await browser.named('Continue as')).click();
  await (await browser.named('Bright light at night')).click();
  await browser.sees('In adult hospital staff');
  await browser.press(Key.chord(Key.ALT, '3'));
  await browser.textWhen('[role=tablist]', (text) => text.includes('Skein') && !text.includes('…'));
  await browser.press('5');
  await browser.textWhen('[role=tab][aria-selected=true]', (text) => text.startsWith('Skein'));
  const inSkein = await total();
  await browser.press('1');
  await browser.textWhen('[role=tab][aria-selected=true]', (text) => text.startsWith('Corvane'));
  expect(await total()).not.toBe(inSkein);
  await browser.textWhen(grid, (text) => /L1\s*Hospital staff/.test(text) && text.includes('−'));
  await accessible('the sheet');
});

test('a line of one’s own is written by key, and leaves out what it finds, with what is thrown away', async () => {
  const before = await total();
  await browser.press('n');
  await writing();
  await browser.press('el.title = "nurse*"');
  const found = await ownHits('el.title = "nurse*"', (count) => count > 0);
  expect(found).toBeGreaterThan(0);
  expect(await total()).toBe(before);
  await browser.press(Key.ESCAPE);
  await browser.driver.findElement({ xpath: '//label[contains(., "Leaves out")]/input' }).click();
  const left = await total((count) => count < before);
  await browser.textWhen(grid, (text) => /leaves out\s+−\d/.test(text));
  await browser.textWhen('[aria-label="Where the numbers fall"]', (text) => /without L\d+/.test(text));
  await accessible('a line of one’s own');
  // The same line holds on every sheet.
  await (await browser.find('h1')).click();
  await browser.press('4');
  await browser.textWhen('[role=tab][aria-selected=true]', (text) => text.startsWith('Assayhouse'));
  await ownHits('el.title = "nurse*"');
  await browser.press('1');
  await total((count) => count === left);
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await total((count) => count === before);
});

test('what somebody else wrote meanwhile is shown beside what was typed, and nothing is lost', async () => {
  await browser.press('n');
  await writing();
  await browser.press('dusk');
  await ownHits('dusk');
  const api = `${stack.address}/api`;
  const [{ id: review = '' } = {}] = (await (await fetch(`${api}/reviews`)).json()) as { id: string }[];
  const read = async () =>
    (
      (await (await fetch(`${api}/reviews/${review}`)).json()) as {
        ownLines: { id: string; version: number; text: string }[];
      }
    ).ownLines.at(-1);
  const line = await read();
  const [person] = (await (await fetch(`${api}/people`)).json()) as { id: string }[];
  const answer = await fetch(`${api}/own-lines/${line?.id}`, {
    method: 'PATCH',
    headers: {
      'Content-Type': 'application/json',
      'el-person': person?.id ?? '',
      'If-Match': `"${line?.version}"`,
    },
    body: JSON.stringify({ text: 'dawn' }),
  });
  expect(answer.status).toBe(200);
  await browser.press(' or nurse*');
  await browser.textWhen('[aria-label="Line of your own"]', (text) => text.includes('Keep mine'));
  const shown = await browser.textOf('[aria-label="Line of your own"]');
  expect(shown).toContain('dusk or nurse*');
  expect(shown).toContain('dawn');
  expect((await read())?.text).toBe('dawn');
  await (await browser.named('Keep mine')).click();
  await ownHits('dusk or nurse*');
  expect((await read())?.text).toBe('dusk or nurse*');
  await (await browser.named('Take away Del')).click();
  await browser.sees('Took away');
});

test('lines are chosen by key and joined, and the new one follows when lines move', async () => {
  await (await browser.find('h1')).click();
  await browser.press('j');
  await browser.sees('Choose the lines to join.');
  await toRow('L6');
  await browser.press(Key.SPACE);
  await toRow('L13');
  await browser.press(Key.SPACE);
  await browser.sees('2 lines chosen.');
  await accessible('lines that are chosen');
  await (await browser.named('What all of them find (AND)')).click();
  const both = await ownHits('L6 and L13', (count) => count > 0);
  expect(both).toBeLessThan(await hits('L1 or L2'));
  // A term is taken out of the first lane, so that numbers move.
  await browser.press(Key.chord(Key.ALT, '2'));
  const term = await browser.named('“night staff”');
  await term.click();
  await browser.driver.executeScript('arguments[0].focus()', term);
  await browser.press(Key.DELETE);
  await browser.sees('Took out “night staff”');
  await browser.press(Key.chord(Key.ALT, '3'));
  await ownHits('L5 and L12');
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  expect(await ownHits('L6 and L13')).toBe(both);
});

test('lines of one’s own are put in another order by a grip, and the order is undone with one key', async () => {
  const order = () =>
    browser.driver.executeScript<string>(
      "return [...document.querySelectorAll('[data-grip]')].map((grip) => grip.closest('[role=gridcell]').querySelector('[data-line]').dataset.line).join()",
    );
  const ordered = (lines: readonly string[]) =>
    browser.driver.wait(async () => (await order()) === lines.join(), 30_000, `not ${lines.join()}`);
  const before = (await order()).split(',');
  const [first = '', second = '', ...others] = before;
  expect(second).not.toBe('');
  await (await browser.find('[data-grip]')).sendKeys(' ');
  await browser.driver.sleep(200);
  await browser.press(Key.ARROW_DOWN);
  await browser.driver.sleep(200);
  await browser.press(' ');
  await ordered([second, first, ...others]);
  await (await browser.find('h1')).click();
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await ordered(before);
});

test('what checks find is mended with one action and told in records before', async () => {
  await (await browser.find('h1')).click();
  const list = '[aria-label=Checks]';
  await browser.textWhen(list, (text) => text.includes('“night work*” is missing'));
  await browser.press('c');
  const told = /Add “night work\*”\s+here \+(\d+)/.exec(
    await browser.textWhen(list, (text) => /Add “night work\*”\s+here \+\d+/.test(text)),
  )?.[1];
  const before = await hits('L7 or L8');
  await (await browser.named('Add “night work*”')).click();
  expect(await hits('L7 or L8', (count) => count > before)).toBe(before + Number(told));
  await browser.textWhen(list, (text) => !text.includes('“night work*” is missing'));
});

test('a finding is let stand with a reason, which is kept', async () => {
  const item = '[data-check=finds-nothing]';
  await browser.textWhen(item, (text) => text.includes('finds nothing here'));
  await browser.driver.executeScript(
    `[...document.querySelectorAll('${item} button')].find((each) => each.textContent === 'let it stand').focus()`,
  );
  await browser.press(Key.ENTER);
  await browser.driver.wait(
    async () =>
      browser.driver.executeScript<boolean>(
        "return document.activeElement?.getAttribute('aria-label') === 'Why it may stand'",
      ),
    30_000,
  );
  await browser.press('it is in the protocol', Key.ENTER);
  await browser.textWhen('[aria-label=Checks]', (text) => text.includes('1 accepted'));
  await browser.driver.navigate().refresh();
  await browser.textWhen('[aria-label=Checks]', (text) => /· 1 accepted/.test(text));
  // It is taken back and done again, though the page was loaded anew.
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await browser.textWhen('[aria-label=Checks]', (text) => /· 0 accepted/.test(text));
  await browser.press(Key.chord(Key.CONTROL, Key.SHIFT, 'z'));
  await browser.textWhen('[aria-label=Checks]', (text) => /· 1 accepted/.test(text));
  await accessible('accepted findings');
});

test('what would bring too many down is listed with its counts, and can be tried and taken back', async () => {
  const before = await total();
  const section = '[aria-label="Too many or too few"]';
  const fields = await browser.driver.findElements({ css: `${section} input` });
  await fields[1]?.sendKeys('50');
  const said = await browser.textWhen(section, (text) => /too many\./.test(text) && /−\d/.test(text));
  expect(said).toContain(`${before}`);
  await (await browser.find(`${section} li button`)).click();
  await total((count) => count < before);
  await (await browser.find('h1')).click();
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await total((count) => count === before);
});

test('versions are compared with what they gained and lost, and gone back to, all by key', async () => {
  await browser.press('v');
  const before = await total();
  await browser.textWhen('[aria-label=Versions]', (text) => /Version \d+\s+now/.test(text));
  const [latest] = /Version \d+/.exec(await browser.textOf('[aria-label=Versions]')) ?? [''];
  await (await browser.find('h1')).click();
  await browser.press('n');
  await writing();
  await browser.press('"night"', Key.ESCAPE);
  await browser.driver.findElement({ xpath: '//label[contains(., "Leaves out")]/input' }).sendKeys(Key.SPACE);
  const after = await total((count) => count < before);
  // The new state is kept by itself.
  const item = `//section[@aria-label="Versions"]//li[.//b[.="${latest}"]]`;
  await browser.driver.wait(
    async () =>
      (await browser.driver.findElements({ xpath: `${item}//button[.="compare with now"]` })).length > 0,
    30_000,
  );
  await browser.driver.findElement({ xpath: `${item}//button[.="compare with now"]` }).sendKeys(Key.ENTER);
  const told = await browser.textWhen('[aria-label="Compared with now"]', (text) =>
    /found then and not now/.test(text),
  );
  expect(told).toContain(`${before} then, ${after} now`);
  expect(told).toMatch(/own line added/);
  await accessible('versions');
  await browser.driver.findElement({ xpath: `${item}//button[.="go back to it"]` }).sendKeys(Key.ENTER);
  await total((count) => count === before);
  await (await browser.find('h1')).click();
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await total((count) => count === after);
});

test('a strategy from elsewhere is pasted as a whole, confirmed, and taken back with one key', async () => {
  await browser.goTo(`${stack.address}/reviews`);
  await (await browser.named('Woken on call')).click();
  await (await browser.named('Searches')).click();
  await (await browser.named('Files')).click();
  await (await browser.named('Paste a strategy from elsewhere')).click();
  const paste = 'section[aria-label="A pasted strategy"]';
  await browser.driver.executeScript(
    `const field = document.querySelector(arguments[0] + ' textarea');
     Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value').set.call(field, arguments[1]);
     field.dispatchEvent(new Event('input', { bubbles: true }));`,
    paste,
    [
      '1. words("night shift*")  800',
      '2. words("on call")  163',
      '3. 1 or 2',
      '4. words("bright light*") or words("lamp*"',
      '5. words("alertness")',
      '6. 3 and 4',
      '7. 6 not 5',
    ].join('\n'),
  );
  await browser.textWhen(paste, (text) => text.includes('4 of 7 lines can be read'));
  await browser.textWhen(paste, (text) => text.includes('Lines 6, 7 refer to what cannot be read'));
  await accessible('a pasted strategy');
  await (await browser.find(`${paste} textarea`)).click();
  await browser.driver.executeScript(
    `const field = document.querySelector(arguments[0] + ' textarea');
     const at = field.value.indexOf('lamp*"') + 6;
     field.setSelectionRange(at, at);`,
    paste,
  );
  await browser.press(')');
  await browser.textWhen(paste, (text) => text.includes('7 of 7 lines can be read: 3 lanes'));
  await browser.textWhen(paste, (text) => text.includes('left out'));
  await (await browser.named('Add 3 lanes')).click();
  await browser.sees('Added 5 terms');
  await browser.textWhen(grid, (text) => text.includes('bright light') && text.includes('left out'));
  await (await browser.find('h1')).click();
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await browser.sees('Undone: read a strategy in');
  await browser.sees('0 lines');
});
