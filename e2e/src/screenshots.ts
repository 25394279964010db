/** Takes the pictures of docs/screenshots/ anew, from the demo data. */
import { join } from 'node:path';
import { openBrowser, Key, type Browser } from './browser.js';
import { startStack } from './stack.js';

const folder = process.argv[2] ?? join(__dirname, '..', '..', 'docs', 'screenshots');

/** Time for what moves to come to rest. */
const REST_MS = 700;
const SETTLED_WITHIN_MS = 20_000;

/** A picture in the documentation must not show a false alarm: a database that is away, or a count that is still open. */
async function settled(browser: Browser, name: string): Promise<void> {
  const unsettled = () =>
    browser.driver.executeScript<string[]>(`
      const shown = [...document.querySelectorAll('body *')].filter((each) => each.children.length === 0 && each.offsetParent);
      const texts = shown.map((each) => each.textContent.trim());
      return [
        ...texts.filter((text) => /does not answer|answers slowly|^counting …$/.test(text)),
        ...shown.filter((each) => each.classList.contains('count') && each.textContent === '…').map(() => 'an open count'),
      ];
    `);
  try {
    await browser.driver.wait(async () => (await unsettled()).length === 0, SETTLED_WITHIN_MS);
  } catch {
    throw new Error(`No picture “${name}” is taken: the page shows ${(await unsettled()).join(', ')}.`);
  }
  await new Promise((resolve) => setTimeout(resolve, REST_MS));
}

/** A peer review that a second person is in the middle of. */
async function lookedOver(browser: Browser): Promise<void> {
  await browser.driver.executeScript(`
    const review = location.pathname.split('/')[2];
    const mine = localStorage.getItem('even-lantern-person');
    sessionStorage.setItem('mine', mine);
    const send = async (person, method, path, body) => {
      const headers = { 'Content-Type': 'application/json', 'el-person': person };
      return (await fetch('/api/' + path, { method, headers, body: JSON.stringify(body) })).json();
    };
    const [{ id }] = await send(mine, 'POST', 'reviews/' + review + '/peer-reviews', {
      note: 'Are the words for shifts complete?',
    });
    const second = (await send(mine, 'POST', 'people', { name: 'Odile Brandvik' })).id;
    await send(second, 'PUT', 'peer-reviews/' + id + '/points/question', { judgement: 'fine', note: '' });
    await send(second, 'PUT', 'peer-reviews/' + id + '/points/operators', {
      judgement: 'suggestion',
      note: 'Five words apart may be too far for night and shift.',
    });
    const line = [...document.querySelectorAll('[role=grid] [data-line]')].find((each) => each.textContent.includes('nightwork'));
    await send(second, 'POST', 'peer-reviews/' + id + '/comments', {
      place: line.dataset.line, about: 'L9 nightwork*', text: 'Authors write it in two words.', answers: null,
    });
    localStorage.setItem('even-lantern-person', second);
    history.replaceState(null, '', location.pathname + '?peer-review=yes');
  `);
  await browser.driver.navigate().refresh();
  await browser.textWhen('[aria-label="Peer review"]', (text) => text.includes('1 comment open'));
  await browser.textWhen('[role=grid]', (text) => text.includes('comment open'));
}

async function main(): Promise<void> {
  const stack = await startStack();
  const browser = await openBrowser();
  try {
    const shoot = async (name: string) => {
      await settled(browser, name);
      // A notice of what was done before is no part of a view.
      await browser.driver.wait(
        async () => (await browser.driver.findElements({ css: '[data-sonner-toast]' })).length === 0,
        20_000,
      );
      await browser.screenshot(join(folder, `${name}.png`));
    };
    await browser.goTo(stack.address);
    await (await browser.named('Continue as')).click();
    await browser.sees('Bright light at night');
    await shoot('reviews');
    await (await browser.named('Bright light at night')).click();
    await browser.sees('In adult hospital staff');
    await (await browser.named('Question')).click();
    await browser.sees('without');
    await browser.driver.executeScript(`
      for (const stage of ['question', 'concepts', 'searches', 'limits', 'records'])
        localStorage.setItem('even-lantern-intro-' + stage, 'read');
    `);
    await browser.driver.navigate().refresh();
    await browser.sees('without');
    await (await browser.find('section[aria-label=Scan] input')).sendKeys('light night', Key.ENTER);
    await browser.sees('records hold all of');
    await shoot('question');
    const demo = await browser.driver.getCurrentUrl();
    await browser.goTo(`${stack.address}/reviews`);
    await (await browser.named('Woken on call')).click();
    await (
      await browser.find('#own-words')
    ).sendKeys('being woken on call and family life in volunteers on rural ambulance rotas');
    await browser.sees('Make all');
    await shoot('question-taken-apart');
    await (await browser.find('#own-words')).sendKeys(Key.chord(Key.CONTROL, 'a'), Key.DELETE);
    await browser.goTo(demo);
    await (await browser.named('Concepts')).click();
    await browser.textWhen('[data-testid=whole]', (text) => /\d/.test(text));
    await browser.sees('adds');
    await shoot('concepts');
    await (await browser.find('[data-lane-input]')).sendKeys('nurses');
    await browser.sees('Qualified nurses');
    await shoot('concepts-lookup');
    await browser.press(Key.ESCAPE);
    await (await browser.named('Light therapy')).click();
    await browser.sees('Its names, as words');
    await shoot('concepts-heading');
    const confirm = async (what: string) => (await browser.find(`[aria-label^="Confirm ${what}"]`)).click();
    await confirm('Light as treatment');
    await browser.sees('take back');
    await (await browser.find('[aria-label^="More about the lane timed"]')).click();
    await (await browser.named('Side by side in all vocabularies')).click();
    await browser.sees('Illumination effects');
    await shoot('concepts-across');
    await (await browser.named('All lanes')).click();
    await (await browser.named('Searches')).click();
    await browser.sees('What it understood');
    await shoot('searches');
    await browser.driver.executeScript(
      "[...document.querySelectorAll('[role=grid] button')].find((each) => each.textContent.includes('phototherap')).click()",
    );
    await browser.press('e');
    const editor = await browser.find('.cm-content');
    await browser.press(Key.chord(Key.CONTROL, 'a'), Key.DELETE);
    await editor.sendKeys('heading("Light therapy", narrower) OR title("photother*") NOT title("jaundice")');
    await browser.sees('written by hand');
    await shoot('searches-text');
    await (await browser.named('Take what the lanes give')).click();
    await browser.sees('phototherap*');
    await lookedOver(browser);
    await shoot('searches-peer-review');
    await browser.driver.executeScript(`
      localStorage.setItem('even-lantern-person', sessionStorage.getItem('mine'));
      history.replaceState(null, '', location.pathname);
    `);
    await browser.driver.navigate().refresh();
    await browser.sees('What it understood');
    await (await browser.named('Where to search')).click();
    await browser.sees('Assayhouse Reviews & Trials');
    await browser.sees('in none of the others');
    await shoot('databases');
    await (await browser.find('main h2 a')).click();
    await browser.sees('Randomised trial');
    await browser.sees('others have too');
    await shoot('database');
    await browser.driver.navigate().back();
    await browser.sees('in none of the others');
    await (await browser.named('Limits')).click();
    await browser.textWhen('[data-testid=remains]', (text) => /\d/.test(text));
    await (await browser.find('[data-limit=years] button')).click();
    await browser.sees('lost only through this limit');
    await shoot('limits');
    await (await browser.named('Evidence at hand')).click();
    await browser.textWhen('main', (text) => /Opinion\s+answers the question\s+\d/.test(text));
    await shoot('limits-evidence');
    await (await browser.named('Try a limit to what answers')).click();
    await browser.textWhen('[data-limit=design]', (text) => text.includes('merely lack the data'));
    await (await browser.find('h1')).click();
    await browser.press(Key.ESCAPE);
    await (await browser.named('Records')).click();
    await browser.sees('Author keywords');
    await shoot('records');
    await (await browser.find('footer > button')).click();
    await browser.textWhen('section[aria-label=Ledger]', (text) => text.includes('What was searched'));
    await shoot('ledger');
    const review = await browser.driver.getCurrentUrl();
    await (await browser.find('section[aria-label=Ledger] tbody a')).click();
    await browser.driver.executeScript(`
      const headers = { 'Content-Type': 'application/json', 'el-person': localStorage.getItem('even-lantern-person') };
      return fetch('/api/databases/corvane/advance', { method: 'POST', headers, body: '{}' });
    `);
    await (await browser.named('Run again, release 2027')).click();
    await browser.textWhen('[aria-label=Drift]', (text) => text.includes('new since'));
    await shoot('ledger-entry');
    await browser.goTo(`${stack.address}/vocabularies`);
    await browser.sees('Mindry Descriptors');
    await shoot('vocabularies');
    await browser.driver.executeScript("localStorage.setItem('even-lantern-theme', 'nightshift')");
    await browser.goTo(review.replace('?ledger=open', '').replace('records', 'concepts'));
    await browser.textWhen('[data-testid=whole]', (text) => /\d/.test(text));
    await browser.sees('adds');
    await shoot('concepts-nightshift');
  } finally {
    await browser.close();
    await stack.stop();
  }
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
