import { openBrowser, Key } from './browser.js';
void (async () => {
  const browser = await openBrowser();
  try {
    const shoot = async (name: string) => {
      await new Promise((resolve) => setTimeout(resolve, 800));
      await browser.screenshot(`/tmp/look/${name}.png`);
    };
    const response = await fetch('http://localhost:5410/api/reviews');
    const [{ id }] = (await response.json()) as { id: string }[];
    const base = `http://localhost:5410/reviews/${id}`;
    await browser.goTo(base);
    await (await browser.named('Continue as')).click();
    await browser.goTo(`${base}/databases/add`);
    await browser.sees('Add a database');
    await (await browser.find('input[inputmode=url]')).sendKeys('http://127.0.0.1:5411/plain', Key.ENTER);
    await browser.sees('A first search');
    await shoot('add-address');
    console.log(await browser.seriousFindings());
    await browser.goTo(`${base}/databases/add?how=hand`);
    await browser.sees('way of writing nearest');
    await shoot('add-hand');
    console.log(await browser.seriousFindings());
    await browser.goTo(`${base}/databases`);
    await browser.sees('Ferrow');
    await browser.sees('390');
    await browser.driver.executeScript("[...document.querySelectorAll('h2')].find((e) => e.textContent.includes('Osier')).scrollIntoView()");
    await shoot('databases-added');
    await browser.goTo(`${base}/searches?database=ferrow-index`);
    await browser.sees('Asked by hand');
    await shoot('hand');
    console.log(await browser.seriousFindings());
    await browser.goTo(`${base}/concepts?database=ferrow-index`);
    await browser.sees('phototherap');
    await shoot('hand-concepts');
  } finally {
    await browser.close();
  }
})();
