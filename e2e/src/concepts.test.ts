/** The concepts bench: headings walked and chosen, words cut and spelled, lists pasted, terms moved and held back. */
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
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

const lane = (letter: 'P' | 'I' | 'O') =>
  `section[aria-label^="Lane: ${{ P: 'night', I: 'timed', O: 'sleepiness' }[letter]}"]`;
const inspector = 'aside[aria-label=Term]';
const counterpart = (vocabulary: string) => `${inspector} li[aria-label="${vocabulary}"]`;
const number = (text: string) => Number(text.replace(/[^\d]/g, ''));

/** The label in the inspector that begins with a text, with its control and its count. */
const choice = (text: string) => browser.saying(`${inspector} label`, text);

async function countOf(text: string): Promise<number> {
  let shown = '';
  await browser.driver.wait(
    async () => /\d$/.test((shown = (await (await choice(text)).getText()).trim())),
    30_000,
    `${text} has no count`,
  );
  return number(shown.slice(text.length));
}

const pick = (menu: string, text: string) => browser.pick(menu, text);

/** Presses on a term and begins to drag it. */
async function lift(name: string): Promise<void> {
  const row = await browser.standingStill(name);
  const actions = browser.driver.actions();
  await actions.move({ origin: row }).press().move({ origin: row, x: 4, y: 12 }).pause(50).perform();
}

async function dropOn(selector: string): Promise<void> {
  const target = await browser.find(selector);
  await browser.driver
    .actions()
    .move({ origin: target, x: 3 })
    .pause(50)
    .move({ origin: target })
    .pause(100)
    .perform();
  await browser.driver.actions().release().perform();
}

test('three of five narrower headings are chosen, and each effect is shown before it is made', async () => {
  await (await browser.named('Shift work')).click();
  await browser.sees('with some of the narrower');
  await (await choice('with some of the narrower')).click();
  await browser.sees('Each with what lies below it.');
  for (const label of ['Early morning shifts', 'Extended shifts']) {
    const foretold = await countOf(label);
    await (await choice(label)).click();
    await browser.textWhen(`${inspector} dl dd`, (text) => number(text.split(' was ')[0] ?? '') === foretold);
  }
  await browser.textWhen(lane('P'), (text) => text.includes('with 3 of its narrower'));
  expect(await browser.seriousFindings()).toEqual([]);
});

test('quick clicks are changes one after the other, and no conflict with oneself', async () => {
  const boxes = `${inspector} [aria-label="Narrower headings"] input`;
  await browser.driver.executeAsyncScript(
    `const [boxes, done] = arguments;
    const click = (i) => document.querySelectorAll(boxes)[i].click();
    click(0);
    setTimeout(() => { click(1); setTimeout(() => { click(0); done(); }, 15); }, 15);`,
    boxes,
  );
  const checked = () =>
    browser.driver.executeScript<boolean[]>(
      'return [...document.querySelectorAll(arguments[0])].map((box) => box.checked)',
      boxes,
    );
  const [first, second] = await checked();
  await browser.textWhen('main', (text) => !text.includes('counting …'));
  await browser.driver.navigate().refresh();
  await browser.find(boxes);
  expect((await checked()).slice(0, 2)).toEqual([first, second]);
  expect(await browser.textOf('body')).not.toContain('Somebody else');
});

test('one goes up, down and across in the tree and comes back, and adds several headings at once', async () => {
  await browser.sees('Directly below');
  await (await browser.named('Working hours')).click();
  await browser.sees('back to Shift work');
  await (await browser.named('Rest breaks')).click();
  await browser.sees('back to Working hours');
  await browser.sees('coffee breaks');
  await (await browser.named('back to Working hours')).click();
  await (await browser.named('back to Shift work')).click();
  const tick = await browser.find('input[aria-label="Add On-call duty"]');
  await tick.sendKeys(Key.SPACE);
  await (await browser.find('input[aria-label="Add Quick returns"]')).sendKeys(Key.SPACE);
  await (await browser.named('Add 2 headings to the lane')).click();
  await browser.textWhen(
    lane('P'),
    (text) => text.includes('On-call duty') && text.includes('Quick returns'),
  );
});

test('a heading’s names are offered as words, with what each would add', async () => {
  await browser.textWhen(inspector, (text) =>
    /Its names, as words\s+Shift work \d/.test(text.replace(/\s+/g, ' ')),
  );
  await (await browser.find('button[aria-label="Add the words Shift work"]')).click();
  await browser.textWhen(lane('P'), (text) => text.includes('“shift work”'));
});

test('a cut word is corrected after its strangers are seen', async () => {
  const input = await browser.find(`${lane('P')} input`);
  await input.sendKeys('week*');
  await (await browser.named('week*')).click();
  await browser.textWhen(lane('P'), (text) => /week\*\s+(?:adds\s+)?\d/.test(text));
  await (await browser.named('week*')).click();
  await browser.sees('Endings of “week*”');
  await (await browser.named('Endings of')).click();
  await browser.sees('perhaps not meant');
  await browser.textWhen(`${inspector} ul[tabindex]`, (text) => /\? week(end|day)/.test(text));
  await (
    await browser.find(`${inspector} [role=radiogroup]`)
  )
    .findElement({ css: ':checked' })
    .sendKeys(Key.ARROW_RIGHT);
  await (await browser.named('Cut to weeks*')).click();
  await browser.textWhen(lane('P'), (text) => text.includes('weeks*') && !/^week\*/m.test(text));
});

test('a spelling that nobody uses is not offered unless asked for, and one that is used can be added', async () => {
  await (await browser.named('“day sleep”')).click();
  await browser.sees('Other ways authors write it');
  await browser.sees('that find nothing');
  await (await browser.find('button[aria-label="Add day sleep"]')).click();
  await browser.textWhen(lane('O'), (text) => text.includes('day within 3 words of sleep'));
});

test('a published strategy is pasted, its terms are shown, and those wanted are added at once', async () => {
  await (await browser.find(`${lane('I')} button[aria-label^="More about the lane"]`)).click();
  await (await browser.named('Paste a list of terms')).click();
  await browser.press(
    '1. (lamp$1 or "light box*").zz,yy. (2,041)\n2. wide Light therapy/\n3. dawn by3 light\n4. or/1-3\n5. lamp*',
  );
  await browser.sees('in the lane already');
  await browser.sees('twice in the list');
  await browser.sees('1 line without a term');
  expect(await browser.seriousFindings()).toEqual([]);
  await (await browser.named('Add 3 terms')).click();
  await browser.textWhen(
    lane('I'),
    (text) => text.includes('dawn within 3 words of light') && text.includes('lamp*'),
  );
});

test('a term is dragged into another lane, and dragged down to be held back with a reason', async () => {
  await lift('lamp*');
  await dropOn(lane('O'));
  await browser.textWhen(lane('O'), (text) => text.includes('lamp*'));
  await lift('lamp*');
  await dropOn('[data-testid=hold-area]');
  await browser.sees('Why is it not to be searched?');
  await (await browser.named('wrong sense')).click();
  await browser.textWhen(lane('O'), (text) => /Held back[\s\S]*lamp\*[\s\S]*wrong sense/.test(text));
});

test('by keyboard a term is searched again, moved to another lane, and the lane tells all of it', async () => {
  await (await browser.named('lamp*')).sendKeys(Key.ENTER);
  await (await browser.named('Search it again')).sendKeys(Key.ENTER);
  await browser.sees('Hold back');
  await pick('Move to another lane', 'timed exposure');
  await browser.textWhen(lane('I'), (text) => text.includes('lamp*'));
  await (await browser.find(`${lane('O')} button[aria-label^="More about the lane"]`)).sendKeys(Key.ENTER);
  const history = await browser.textWhen('aside[aria-label=Lane]', (text) => text.includes('moved away'));
  expect(history).toMatch(
    /moved away lamp\*[\s\S]*searched again lamp\*[\s\S]*held back lamp\*.*wrong sense[\s\S]*moved here/,
  );
  expect(history).toContain('Mara Quillfeather');
});

test('a whole clause leads to headings before the words themselves', async () => {
  await (await browser.find(`${lane('O')} input`)).sendKeys("staff who can't stay awake at night");
  await browser.textWhen(`${lane('O')} [role=listbox]`, (text) => text.includes('Sleepiness'));
  await browser.press(Key.chord(Key.CONTROL, 'a'), 'slepiness');
  await browser.textWhen(`${lane('O')} [role=listbox]`, (text) => text.includes('the spelling is close'));
});

test('another database asks what stands for a heading; confirmed there, it is counted', async () => {
  await (await browser.find('h1')).click();
  await browser.press(Key.ESCAPE);
  await pick('Database that counts come from', 'Wardline');
  await browser.textWhen(lane('I'), (text) => text.includes('Say what stands for it here'));
  await (await browser.named('Light therapy')).sendKeys(Key.ENTER);
  await browser.textWhen(counterpart('Wardline Thesaurus'), (text) =>
    /Light as treatment\?[\s\S]*is the name of one and an entry term of the other/.test(text),
  );
  expect(await browser.seriousFindings()).toEqual([]);
  await (
    await browser.find('[aria-label="Confirm Light as treatment for Light therapy"]')
  ).sendKeys(Key.ENTER);
  await browser.textWhen(lane('I'), (text) =>
    /Light therapy here Light as treatment\s+(?:adds\s+)?\d/.test(text),
  );
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await browser.textWhen(counterpart('Wardline Thesaurus'), (text) => text.includes('Light as treatment?'));
  await (await browser.find('[aria-label="Confirm Light as treatment for Light therapy"]')).click();
  await browser.textWhen(lane('I'), (text) => text.includes('here Light as treatment'));
});

test('a lane stands side by side in all vocabularies, and what is open is settled there', async () => {
  await (await browser.find(`${lane('I')} button[aria-label^="More about the lane"]`)).sendKeys(Key.ENTER);
  await (await browser.named('Side by side in all vocabularies')).sendKeys(Key.ENTER);
  const table = await browser.textWhen('main table', (text) => text.includes('Phototherapeutic techniques?'));
  expect(table).toMatch(/Corvane Subject Tree[\s\S]*Wardline Thesaurus[\s\S]*Mindry Descriptors/);
  expect(await browser.seriousFindings()).toEqual([]);
  await (
    await browser.find('[aria-label="Confirm Phototherapeutic techniques for Light therapy"]')
  ).sendKeys(Key.ENTER);
  await browser.textWhen('main table', (text) => /Phototherapeutic techniques\s+take back/.test(text));
  await (await browser.named('All lanes')).click();
  await pick('Database that counts come from', 'Corvane');
  await browser.textWhen(lane('I'), (text) => /Light therapy\s+(?:adds\s+)?\d/.test(text));
});

test('a vocabulary is read from a file, with what is odd in it, and its headings can be looked up', async () => {
  const review = await browser.driver.getCurrentUrl();
  const folder = mkdtempSync(join(tmpdir(), 'vocabulary-'));
  const file = join(folder, 'harbour.ttl');
  writeFileSync(
    file,
    `@prefix skos: <http://www.w3.org/2004/02/skos/core#> .
     <urn:a> a skos:Concept ; skos:prefLabel "Harbour lamps"@en ; skos:altLabel "quayside glimmer"@en .
     <urn:b> a skos:Concept .`,
  );
  await browser.goTo(`${stack.address}/vocabularies`);
  await browser.sees('Corvane Subject Tree');
  await (await browser.driver.findElement({ css: 'input[type=file]' })).sendKeys(file);
  await browser.sees('1 concept has no label and is left out');
  await browser.sees('Phototherapeutic techniques');
  expect(await browser.seriousFindings()).toEqual([]);
  await browser.goTo(review);
  await (await browser.find(`${lane('I')} input`)).sendKeys('quayside glimmer');
  await browser.textWhen(`${lane('I')} [role=listbox]`, (text) => text.includes('Heading of the harbour'));
  await browser.press(Key.chord(Key.CONTROL, 'a'), Key.DELETE);
});

test('a broad text is scanned, and what is found is taken into a lane and into the question', async () => {
  await (await browser.find('h1')).click();
  await browser.press(Key.chord(Key.ALT, '1'));
  await (await browser.find('section[aria-label=Scan] input')).sendKeys('light night', Key.ENTER);
  await browser.sees('records hold all of “light night”');
  expect(await browser.seriousFindings()).toEqual([]);
  await pick('Take Day sleep into', 'sleepiness on duty');
  await browser.sees('Added Day sleep to the lane sleepiness on duty');
  await pick('Take drug safety into', 'Outcome');
  await browser.textWhen('[data-testid=sentence]', (text) => text.includes('drug safety'));
});

test('framed another way, the question loses nothing', async () => {
  const lanes = /\d+ lanes/.exec(await browser.textOf('nav'))?.[0];
  await pick('Framed as', 'SPIDER');
  await browser.sees('Phenomenon of interest');
  await browser.sees('Written under another framework');
  expect(await browser.seriousFindings()).toEqual([]);
  await pick('Framed as', 'PICO');
  await browser.textWhen('[data-testid=sentence]', (text) => text.startsWith('In adult hospital staff'));
  expect(await browser.textOf('nav')).toContain(lanes);
});
