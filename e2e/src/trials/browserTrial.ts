/** The browser is killed while a person edits and runs: what the page showed as done is there, and runs go on without it. */
import { setTimeout as pause } from 'node:timers/promises';
import type { Ledger, Person, Review, ReviewSummary } from '@even-lantern/contract';
import { Key, openBrowser } from '../browser.js';
import type { Stack } from '../stack.js';
import { asker, chanceOf } from './clients.js';

/** @returns what was shown as done and is not there; nothing when all is well */
export async function browserTrial(stack: Stack, kills: number, seed: number): Promise<string[]> {
  const chance = chanceOf(seed);
  const found: string[] = [];
  const [person] = (await asker(stack.address, '')('GET', '/people'))?.body as Person[];
  const ask = asker(stack.address, person?.id ?? '');
  const [{ id: review } = { id: '' }] = ((await ask('GET', '/reviews'))?.body as ReviewSummary[]).filter(
    ({ title }) => title === 'Bright light at night',
  );
  const shown: string[] = [];
  let runs = ((await ask('GET', `/reviews/${review}/ledger`))?.body as Ledger).seal.entries;
  for (let i = 0; i < kills; i += 1) {
    const browser = await openBrowser();
    try {
      await browser.goTo(stack.address);
      await (await browser.named('Continue as')).click();
      await browser.goTo(`${stack.address}/reviews/${review}/concepts`);
      const word = `lanternfolk${i}*`;
      const field = await browser.find('section[aria-label^="Lane: "] input');
      await field.sendKeys(word);
      await browser.textWhen('section[aria-label^="Lane: "] [role=listbox]', (text) => text.includes(word));
      await field.sendKeys(Key.ENTER);
      await pause(chance() * 400);
      const rows = await browser.driver.executeScript<string>(
        "return [...document.querySelectorAll('[data-term]')].map((row) => row.innerText).join()",
      );
      if (rows.includes(word)) shown.push(word);
      if (chance() < 0.5) {
        await browser.goTo(`${stack.address}/reviews/${review}/searches`);
        await browser.textWhen('[role=grid]', (text) => /\d/.test(text));
        await browser.press('r');
        await browser.textWhen(
          'footer',
          (text) => /Running|Logged/.test(text) || text.includes(`${runs + 1} entries`),
        );
        runs += 1;
      }
    } finally {
      browser.kill();
    }
  }
  let standing: Ledger | null = null;
  for (let tries = 0; tries < 300 && standing?.running.length !== 0; tries += 1) {
    standing = (await ask('GET', `/reviews/${review}/ledger`))?.body as Ledger;
    await pause(100);
  }
  const { seal, brokenAt, running } = standing ?? { seal: { entries: 0 }, brokenAt: null, running: [] };
  if (running.length > 0) found.push('a run that does not end');
  if (seal.entries !== runs || brokenAt !== null) found.push(`${seal.entries} entries of ${runs}`);
  const { lanes } = (await ask('GET', `/reviews/${review}`))?.body as Review;
  const words = lanes.flatMap(({ terms }) =>
    terms.flatMap(({ content }) => (content.kind === 'words' ? [content.text] : [])),
  );
  for (const word of shown) {
    const times = words.filter((each) => each === word).length;
    if (times !== 1) found.push(`${word} is there ${times} times`);
  }
  // What was done in a browser that is gone can be taken back in another.
  const undone = (await ask('POST', `/reviews/${review}/undo`, { since: null }))?.body as { words: string };
  if (!/^added lanternfolk/.test(undone.words)) found.push(`undone: ${undone.words}`);
  return found;
}
