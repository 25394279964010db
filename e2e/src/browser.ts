/** A headless browser with a new, empty profile, and the few moves that tests make with it. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Builder, By, error, Key, type WebDriver, type WebElement } from 'selenium-webdriver';
import chrome from 'selenium-webdriver/chrome.js';

const WAIT_MS = 30_000;

export interface Browser {
  driver: WebDriver;
  downloads: string;
  goTo(address: string): Promise<void>;
  /** the first element that a CSS selector finds, once it is there */
  find(selector: string): Promise<WebElement>;
  /** the first button, link or other element with exactly this accessible text */
  named(name: string): Promise<WebElement>;
  /** waits until the text of the page holds this */
  sees(text: string): Promise<void>;
  textOf(selector: string): Promise<string>;
  /** waits until the text of an element passes a test, and returns it */
  textWhen(selector: string, passes: (text: string) => boolean): Promise<string>;
  /** types into whatever has the focus */
  press(...keys: string[]): Promise<void>;
  /** opens a menu by keyboard, goes down to the first choice that a text is in, and takes it */
  pick(menu: string, text: string): Promise<void>;
  resize(width: number, height: number): Promise<void>;
  screenshot(path: string): Promise<void>;
  /** serious and critical findings of axe on the page as it is */
  seriousFindings(): Promise<string[]>;
  close(): Promise<void>;
  /** ends it at once, as a power cut does */
  kill(): void;
}

export { Key };

export async function openBrowser(width = 1280, height = 800): Promise<Browser> {
  const profile = mkdtempSync(join(tmpdir(), 'even-lantern-browser-'));
  const downloads = join(profile, 'downloads');
  const options = new chrome.Options();
  options.addArguments(
    '--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run',
    '--disable-background-networking', '--disable-component-update', '--disable-sync',
    `--user-data-dir=${join(profile, 'profile')}`,
  ); // prettier-ignore
  options.setUserPreferences({
    'download.default_directory': downloads,
    'download.prompt_for_download': false,
  });
  options.setChromeBinaryPath(process.env.CHROME_BINARY ?? '/usr/bin/chromium');
  const driver = (await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new chrome.ServiceBuilder(process.env.CHROMEDRIVER ?? '/usr/bin/chromedriver'))
    .build()) as chrome.Driver;
  const resize = async (newWidth: number, newHeight: number) => {
    await driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
      width: newWidth,
      height: newHeight,
      deviceScaleFactor: 1,
      mobile: false,
    });
  };
  await resize(width, height);
  await driver.sendDevToolsCommand('Browser.setDownloadBehavior', {
    behavior: 'allow',
    downloadPath: downloads,
  });

  /** The first element found that is visible; looked for anew where the page was redrawn in between. */
  const visible = async (by: By, otherwise: string): Promise<WebElement> => {
    const element = await driver.wait(
      async () => {
        try {
          const [first] = await driver.findElements(by);
          return first !== undefined && (await first.isDisplayed()) ? first : null;
        } catch (trouble) {
          if (trouble instanceof error.StaleElementReferenceError) return null;
          throw trouble;
        }
      },
      WAIT_MS,
      otherwise,
    );
    if (element === null) throw new Error(otherwise);
    return element;
  };
  const find = (selector: string) => visible(By.css(selector), `no element ${selector} is there and visible`);
  const pageText = async () => (await driver.findElement(By.css('body'))).getText();
  const textOf = async (selector: string) => (await find(selector)).getText();
  return {
    driver,
    downloads,
    goTo: (address) => driver.get(address),
    find,
    async named(name) {
      const literal = name.includes('"') ? `'${name}'` : `"${name}"`;
      const path = `//*[self::button or self::a or self::summary or @role="option"][normalize-space(.)=${literal} or starts-with(normalize-space(.), ${literal}) or @aria-label=${literal}]`;
      return visible(By.xpath(path), `nothing that is visible is named ${name}`);
    },
    async sees(text) {
      let last = '';
      try {
        await driver.wait(async () => (last = await pageText()).includes(text), WAIT_MS);
      } catch {
        throw new Error(`The page does not say: ${text}. It says: ${last}`);
      }
    },
    textOf,
    async textWhen(selector, passes) {
      let last = '';
      try {
        await driver.wait(async () => {
          try {
            last = await textOf(selector);
            return passes(last);
          } catch {
            return false; // redrawn in between; look again
          }
        }, WAIT_MS);
      } catch {
        throw new Error(`${selector} never came to say what was expected. It says: ${last}`);
      }
      return last;
    },
    async press(...keys) {
      // Through the focused element, since only there are chords held down together.
      for (const key of keys) {
        await driver.wait(async () => {
          try {
            await driver.switchTo().activeElement().sendKeys(key);
            return true;
          } catch (trouble) {
            // Redrawn or taken away between finding and pressing, so that nothing was pressed.
            if (trouble instanceof error.StaleElementReferenceError) return false;
            if (trouble instanceof error.ElementNotInteractableError) return false;
            throw trouble;
          }
        }, WAIT_MS);
      }
    },
    async pick(menu, text) {
      const button = await find(`button[aria-label^="${menu}"]`);
      // A pointer that lies over the list would choose too.
      await driver.actions().move({ x: 1, y: 1 }).perform();
      await button.sendKeys(Key.ENTER);
      const options = await driver.wait(async () => {
        const found = await driver.findElements(By.css(`ul[aria-label^="${menu}"] [role=option]`));
        return found.length > 0 ? found : null;
      }, WAIT_MS);
      const texts = await Promise.all((options ?? []).map((option) => option.getText()));
      const wanted = texts.findIndex((each) => each.includes(text));
      if (wanted < 0) throw new Error(`${menu} has no choice ${text}: ${texts.join(', ')}`);
      // Not by typing ahead: on a busy machine the letters come too far apart.
      await button.sendKeys(Key.HOME, ...Array.from({ length: wanted }, () => Key.ARROW_DOWN), Key.ENTER);
    },
    resize,
    async screenshot(path) {
      await driver.executeScript('return document.fonts.ready.then(() => true)');
      writeFileSync(path, Buffer.from(await driver.takeScreenshot(), 'base64'));
    },
    async seriousFindings() {
      const loaded = await driver.executeScript<boolean>('return typeof window.axe !== "undefined"');
      if (!loaded) await driver.executeScript(readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8'));
      // A notice that is fading has no contrast to speak of; what stands still is judged.
      const moving = 'return document.getAnimations().some(({ playState }) => playState === "running")';
      await driver.wait(
        async () => !(await driver.executeScript<boolean>(moving)),
        WAIT_MS,
        'the page never stood still',
      );
      return driver.executeAsyncScript<string[]>(`
        const done = arguments[arguments.length - 1];
        window.axe.run(document).then((result) => done(result.violations
          .filter(({ impact }) => impact === 'serious' || impact === 'critical')
          .map(({ id, nodes }) => id + ': ' + nodes.map(({ html }) => html.slice(0, 120)).join(' | '))));
      `);
    },
    async close() {
      await driver.quit();
      rmSync(profile, { recursive: true, force: true });
    },
    kill() {
      // Its parts all name the profile.
      spawnSync('pkill', ['-KILL', '-f', profile]);
      driver.quit().catch(() => undefined);
      rmSync(profile, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
    },
  };
}
