import { openBrowser, Key } from './browser.js';
void (async () => {
  const browser = await openBrowser();
  try {
    const shoot = async (name: string) => {
      await new Promise((resolve) => setTimeout(resolve, 900));
      await browser.screenshot(`/tmp/look/${name}.png`);
    };
    const response = await fetch('http://localhost:5410/api/reviews');
    const [{ id }] = (await response.json()) as { id: string }[];
    const base = `http://localhost:5410/reviews/${id}`;
    await browser.goTo(base);
    await (await browser.named('Continue as')).click();
    await browser.goTo(`${base}/searches?database=wardline`);
    await browser.sees('to settle before');
    await shoot('settle-closed');
    await (await browser.find('summary.problem')).click();
    await shoot('settle-open');
    console.log(await browser.seriousFindings());
    await browser.goTo(`${base}/searches?database=corvane`);
    await browser.sees('What it understood');
    await browser.driver.executeScript("[...document.querySelectorAll('[role=grid] button')].find((b) => b.textContent.includes('L12')).click()");
    await browser.press('e');
    await browser.find('.cm-content');
    await browser.press(Key.chord(Key.CONTROL, 'a'), Key.DELETE, 'hea');
    await shoot('edit-complete');
    console.log(await browser.seriousFindings());
    await browser.press(Key.ENTER);
    await browser.press('photo');
    await shoot('edit-heading');
    await browser.press(Key.ENTER);
    await browser.sees('finds');
    await shoot('edit-done');
    await (await browser.named('Take what the lanes give')).click();
    await shoot('edited');
  } finally {
    await browser.close();
  }
})();
