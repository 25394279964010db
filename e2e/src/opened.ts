/** How most browser tests begin: the whole product, and a browser in which somebody has opened a review. */
import { openBrowser, type Browser } from './browser.js';
import { startStack, type Stack } from './stack.js';

export interface Opened {
  stack: Stack;
  browser: Browser;
  /** the address of the review, without a stage */
  base: string;
  /** its id */
  review: string;
}

/** Opens a review of the demo, as the person of the demo. */
export async function openReview(title = 'Bright light at night'): Promise<Opened> {
  const [stack, browser] = await Promise.all([startStack(), openBrowser()]);
  await browser.goTo(stack.address);
  await (await browser.named('Continue as Mara Quillfeather')).click();
  await (await browser.named(title)).click();
  const found = await browser.driver.wait(
    async () => /^(.*\/reviews\/([^/]+))\//.exec(await browser.driver.getCurrentUrl()),
    30_000,
    `${title} did not open`,
  );
  const [, base = '', review = ''] = found ?? [];
  return { stack, browser, base, review };
}
