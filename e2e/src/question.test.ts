/** First minutes: a vague topic is scanned, a sentence becomes lanes, words wait on the shelf; by keyboard and by mouse. */
import { Key, type Browser } from './browser.js';
import { openReview } from './opened.js';
import type { Stack } from './stack.js';

let stack: Stack;
let browser: Browser;

beforeAll(async () => {
  ({ stack, browser } = await openReview('Woken on call'));
  await browser.find('#own-words');
});
afterAll(async () => {
  await browser.close();
  await stack.stop();
});

const cards = 'section[aria-label="Concepts found"]';
const shelf = 'section[aria-label=Shelf]';
const laneNames = async (): Promise<string[]> =>
  browser.driver.executeScript(
    "return [...document.querySelectorAll('section[aria-label^=\"Lane: \"]')].map((each) => each.getAttribute('aria-label').slice(6))",
  );
const lanesWhen = (...names: string[]) =>
  browser.driver.wait(async () => (await laneNames()).join() === names.join(), 30_000, `not ${names.join()}`);
const pick = (menu: string, text: string) => browser.pick(menu, text);
const leaveFields = () => browser.driver.executeScript('document.activeElement.blur()');

test('an empty review begins with the scan, and what is found waits on the shelf', async () => {
  const places = await browser.driver.executeScript<number[]>(
    "return ['section[aria-label=Scan]', '#own-words', 'section[aria-label=Elements]'].map((each) => document.querySelector(each).getBoundingClientRect().top)",
  );
  expect(places).toEqual([...places].sort((a, b) => a - b));
  await (await browser.find('section[aria-label=Scan] input')).sendKeys('light night', Key.ENTER);
  await browser.sees('records hold all of “light night”');
  await pick('Take Day sleep into', 'The shelf');
  await browser.textWhen(shelf, (text) => text.includes('Day sleep'));
});

test('elements that are seldom used come when asked for', async () => {
  expect(await browser.textOf('section[aria-label=Elements]')).not.toContain('\nSetting');
  await (await browser.named('Time, Setting: add when they matter')).click();
  await browser.find('section[aria-label=Setting] textarea');
});

test('a sentence is taken apart into four concepts, which become lanes with one key', async () => {
  await (
    await browser.find('#own-words')
  ).sendKeys('bright light for sleepiness on duty in hospital staff with rotating shifts');
  await browser.textWhen(cards, (text) => /4 concepts found[\s\S]*bright light[\s\S]*\d{2,}/.test(text));
  expect(await browser.seriousFindings()).toEqual([]);
  await browser.press(Key.chord(Key.SHIFT, Key.ENTER));
  await browser.sees('Made 4 lanes');
  await browser.textWhen(
    '[data-testid=sentence]',
    (text) => text === 'In hospital staff with rotating shifts, does bright light affect sleepiness on duty?',
  );
  await leaveFields();
  await browser.press(Key.chord(Key.ALT, '2'));
  await lanesWhen('hospital staff', 'rotating shifts', 'bright light', 'sleepiness on duty');
  await browser.textWhen('[data-testid=whole]', (text) => Number(text.replace(/\D/g, '')) > 0);
  await browser.textWhen('section[aria-label="Lane: rotating shifts"]', (text) =>
    /Rotating shifts[\s\S]*“rotating shift\*”/.test(text),
  );
});

test('all of it is taken back with one key, the elements too, and made again', async () => {
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await browser.sees('Undone: made 4 lanes');
  await browser.driver.wait(async () => (await laneNames()).length === 2, 30_000, 'lanes are left');
  await browser.press(Key.chord(Key.ALT, '1'));
  await browser.driver.wait(
    async () => (await browser.driver.findElements({ css: '[data-testid=sentence]' })).length === 0,
    30_000,
    'the elements still say something',
  );
  const population = 'section[aria-label=Population] textarea';
  await (await browser.find(population)).sendKeys('hospital staff with rotating shifts');
  await (await browser.find('section[aria-label=Intervention] textarea')).sendKeys('bright light');
  await browser.textWhen(cards, (text) => text.includes('3 concepts found'));
  await leaveFields();
  await browser.press('1');
  await browser.sees('Made 1 lane.');
  await browser.textWhen(cards, (text) => text.includes('its lane'));
  await browser.press('1');
  await browser.textWhen('section[aria-label=Population]', (text) => text.includes('2 lanes'));
});

test('a concept is put on the shelf by mouse, and becomes a lane from there', async () => {
  await (await browser.find('[aria-label="Put bright light on the shelf"]')).click();
  await browser.textWhen(shelf, (text) => text.includes('bright light'));
  await browser.driver.navigate().refresh();
  await browser.textWhen(shelf, (text) => text.includes('bright light'));
  await pick('bright light, on the shelf', 'Intervention');
  await browser.sees('Made 1 lane.');
  await browser.textWhen(shelf, (text) => !text.includes('bright light'));
});

test('a word goes from the shelf into a lane by key, and back by undo', async () => {
  await leaveFields();
  await browser.press(Key.chord(Key.ALT, '2'));
  await lanesWhen('hospital staff', 'rotating shifts', 'bright light');
  await browser.press('s');
  await browser.driver.wait(
    async () => (await browser.driver.switchTo().activeElement().getText()) === 'Day sleep',
    30_000,
    'the shelf has not the focus',
  );
  await browser.press(Key.ENTER);
  await browser.find('ul[aria-label^="Day sleep"] [role=option]');
  await browser.press(Key.HOME, Key.ARROW_DOWN, Key.ARROW_DOWN, Key.ENTER);
  await browser.textWhen('section[aria-label="Lane: bright light"]', (text) => text.includes('Day sleep'));
  await (await browser.find('h1')).click();
  await browser.press(Key.chord(Key.CONTROL, 'z'));
  await browser.textWhen(shelf, (text) => text.includes('Day sleep'));
  await browser.textWhen('section[aria-label="Lane: bright light"]', (text) => !text.includes('Day sleep'));
});

test('a clause typed into a lane offers its other concepts as lanes of their own', async () => {
  const field = await browser.find('section[aria-label="Lane: bright light"] input');
  await field.sendKeys('bright light for sleepiness in nurses');
  const list = 'section[aria-label="Lane: bright light"] [role=listbox]';
  await browser.textWhen(list, (text) =>
    /A lane of its own: sleepiness[\s\S]*A lane of its own: nurses/.test(text),
  );
  expect(await browser.textOf(list)).not.toMatch(/^Sleepiness/m);
  await (await browser.named('A lane of its own: nurses')).click();
  await browser.driver.wait(async () => (await laneNames()).length === 4, 30_000, 'no lane was made');
});

test('what cannot be searched for says so', async () => {
  await (await browser.find('h1')).click();
  await browser.press(Key.chord(Key.ALT, '1'));
  await (await browser.named('Take another sentence or paragraph apart')).click();
  const field = await browser.find('#own-words');
  await field.sendKeys('what is the effect of it');
  await browser.sees('There is nothing to search on here');
  await field.sendKeys(Key.chord(Key.CONTROL, 'a'), 'pielęgniarki pracujące nocą, jasne światło');
  await browser.sees('No heading has any of these names');
  await field.sendKeys(Key.chord(Key.CONTROL, 'a'), Key.DELETE);
});

test('the guide opens from “?”, is found by the command search, and leads back', async () => {
  await leaveFields();
  await browser.press('?');
  await (await browser.named('About this screen, in the guide')).click();
  await browser.textWhen('[data-guide] h1', (text) => text === 'Question');
  expect(await browser.seriousFindings()).toEqual([]);
  await (await browser.named('Back to where I was')).click();
  await browser.find('section[aria-label=Elements]');
  await browser.press(Key.chord(Key.CONTROL, 'k'));
  await browser.find('[cmdk-item]');
  await browser.press('pasting a list');
  await browser.textWhen('[cmdk-item][data-selected=true]', (text) => text === 'Concepts: Pasting a list');
  await browser.press(Key.ENTER);
  await browser.textWhen('[data-guide] h1', (text) => text === 'Concepts');
  await browser.driver.wait(
    async () =>
      browser.driver.executeScript<boolean>(
        "const { top } = document.getElementById('pasting-a-list').getBoundingClientRect(); return top > 0 && top < innerHeight",
      ),
    30_000,
    'the section is not in view',
  );
  await (await browser.named('Back to where I was')).click();
});

test('three sentences tell somebody new what a stage is for, until they are read', async () => {
  const intro = 'aside[aria-label="New here?"]';
  await browser.textWhen(intro, (text) => text.includes('An answerable question says'));
  await (await browser.find(`${intro} button`)).click();
  await browser.press(Key.chord(Key.ALT, '2'));
  await browser.textWhen(intro, (text) => text.includes('A lane holds one concept'));
  await browser.press(Key.chord(Key.ALT, '1'));
  await browser.find('section[aria-label=Elements]');
  expect(await browser.driver.findElements({ css: intro })).toHaveLength(0);
});

test('a review tells where it stands, is put away and brought back, and is deleted with its title typed', async () => {
  await browser.goTo(`${stack.address}/reviews`);
  const atWork = 'ul[aria-label="Reviews at work"]';
  await browser.textWhen(atWork, (text) =>
    /Woken on call[\s\S]*at the searches[\s\S]*lanes[\s\S]*Mara/.test(text),
  );
  await (await browser.named('Put “Woken on call” away')).click();
  await browser.textWhen(atWork, (text) => !text.includes('Woken on call'));
  await (await browser.named('1 review put away')).click();
  expect(await browser.seriousFindings()).toEqual([]);
  await (await browser.named('Bring “Woken on call” back')).click();
  await browser.textWhen(atWork, (text) => text.includes('Woken on call'));
  await (await browser.named('Delete “Woken on call”')).click();
  await browser.textWhen(atWork, (text) => /What goes: the question, \d lanes? of \d+ terms/.test(text));
  expect(await browser.seriousFindings()).toEqual([]);
  await browser.press('woken', Key.ENTER);
  await browser.textWhen(atWork, (text) => text.includes('Type the title as it stands'));
  await browser.press(Key.chord(Key.CONTROL, 'a'), 'Woken on call', Key.ENTER);
  await browser.textWhen(atWork, (text) => !text.includes('Woken on call'));
  await browser.sees('Bright light at night');
});
