/** A headless browser with a new, empty profile, and the few moves that tests make with it. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Builder, By, error, Key, logging, WebElement, type WebDriver } from 'selenium-webdriver';
import chrome from 'selenium-webdriver/chrome.js';

const WAIT_MS = 30_000;
const POLL_MS = 100;
/** Answers that tests ask for, such as of a database that is away; browsers write each of them into the console. */
const OF_THE_NETWORK = /Failed to load resource/;
/** What is in the same place after that long stands still. */
const STILL_MS = 250;

/** What the page is asked with: whether an element is seen, and its text as a person reads it. */
const IN_PAGE = `
  const drawn = (element) => element.getClientRects().length > 0 &&
    element.checkVisibility({ visibilityProperty: true, opacityProperty: true });
  const seen = (element) => (element && drawn(element.closest('select') ?? element) ? element : null);
  const textOf = (element) =>
    element && element.innerText.replace(/[\\t\\u00a0]/g, ' ').replace(/ *\\n+ */g, '\\n').trim();
`;
const BY_SELECTOR = 'document.querySelector(arguments[0])';
const BY_TEXT =
  '[...document.querySelectorAll(arguments[0])].find((each) => seen(each) && textOf(each).startsWith(arguments[1]))';
const BY_PATH = 'document.evaluate(arguments[0], document, null, 9, null).singleNodeValue';

export interface Browser {
  driver: WebDriver;
  downloads: string;
  goTo(address: string): Promise<void>;
  /** the first element that a CSS selector finds, once it is there */
  find(selector: string): Promise<WebElement>;
  /** the first visible element that a CSS selector finds and whose text begins with this */
  saying(selector: string, text: string): Promise<WebElement>;
  /** the first button, link or other element with exactly this accessible text */
  named(name: string): Promise<WebElement>;
  /** the same, in the middle of the screen, once it moves no more: what is pressed on must be where it was seen */
  standingStill(name: string): Promise<WebElement>;
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
  /** @throws Error where the page told of an error of its own in the console */
  close(): Promise<void>;
  /** ends it at once, as a power cut does */
  kill(): void;
}

export { Key };

/** What is redrawn between being found and being used is found once more: nothing was done to it yet. */
function lookAgainWhereRedrawn(element: WebElement, look: () => Promise<WebElement | null>): void {
  const lasting = async (act: (now: WebElement) => Promise<void>) => {
    let now = element;
    for (let tries = 10; ; tries -= 1) {
      try {
        return await act(now);
      } catch (trouble) {
        if (tries === 0 || !(trouble instanceof error.StaleElementReferenceError)) throw trouble;
        now = (await look()) ?? now;
      }
    }
  };
  const { click, sendKeys } = WebElement.prototype;
  element.click = () => lasting((now) => click.call(now));
  element.sendKeys = (...keys) => lasting((now) => sendKeys.call(now, ...keys));
}

export async function openBrowser(width = 1280, height = 800): Promise<Browser> {
  const profile = mkdtempSync(join(tmpdir(), 'even-lantern-browser-'));
  const downloads = join(profile, 'downloads');
  const options = new chrome.Options();
  options.addArguments(
    '--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run',
    '--disable-background-networking', '--disable-component-update', '--disable-sync',
    // What moves is drawn many times; tests read what it comes to.
    '--force-prefers-reduced-motion', '--num-raster-threads=1',
    `--user-data-dir=${join(profile, 'profile')}`,
  ); // prettier-ignore
  options.setUserPreferences({
    'download.default_directory': downloads,
    'download.prompt_for_download': false,
  });
  const logs = new logging.Preferences();
  logs.setLevel(logging.Type.BROWSER, logging.Level.SEVERE);
  options.setLoggingPrefs(logs);
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

  /** Asked in the page itself: the driver's own questions for text and visibility take many times as long. */
  const inPage = async <T>(question: string, ...given: string[]): Promise<T | null> => {
    try {
      return await driver.executeScript<T | null>(`${IN_PAGE} return ${question}`, ...given);
    } catch (trouble) {
      // The page went, or what was found was redrawn, while it was asked.
      if (trouble instanceof error.JavascriptError) return null;
      if (trouble instanceof error.StaleElementReferenceError) return null;
      throw trouble;
    }
  };
  /** The first element that the page finds, once it is visible. */
  const visible = async (question: string, otherwise: string, ...given: string[]): Promise<WebElement> => {
    const look = () => inPage<WebElement>(`seen(${question})`, ...given);
    const element = await driver.wait(look, WAIT_MS, otherwise, POLL_MS);
    if (element !== null) lookAgainWhereRedrawn(element, look);
    if (element === null) throw new Error(otherwise);
    return element;
  };
  const find = (selector: string) =>
    visible(BY_SELECTOR, `no element ${selector} is there and visible`, selector);
  const textIn = (selector: string) => inPage<string>(`textOf(seen(${BY_SELECTOR}))`, selector);
  const pageText = async () => (await textIn('body')) ?? '';
  const named = (name: string) => {
    const literal = name.includes('"') ? `'${name}'` : `"${name}"`;
    const path = `//*[self::button or self::a or self::summary or @role="option"][normalize-space(.)=${literal} or starts-with(normalize-space(.), ${literal}) or @aria-label=${literal}]`;
    return visible(BY_PATH, `nothing that is visible is named ${name}`, path);
  };
  return {
    driver,
    downloads,
    goTo: (address) => driver.get(address),
    find,
    saying: (selector, text) =>
      visible(BY_TEXT, `no ${selector} that is visible begins with ${text}`, selector, text),
    named,
    async standingStill(name) {
      const place = `arguments[0].scrollIntoView({ block: 'center' });
        const { x, y } = arguments[0].getBoundingClientRect(); return arguments[0].isConnected ? x + ' ' + y : null`;
      const look = async () => {
        const element = await named(name);
        const before = await driver.executeScript(place, element);
        await driver.sleep(STILL_MS);
        return before !== null && before === (await driver.executeScript(place, element)) ? element : null;
      };
      const still = await driver.wait(look, WAIT_MS, `${name} never stood still`, POLL_MS);
      if (still === null) throw new Error(`${name} never stood still`);
      return still;
    },
    async sees(text) {
      let last = '';
      try {
        await driver.wait(async () => (last = await pageText()).includes(text), WAIT_MS, undefined, POLL_MS);
      } catch {
        throw new Error(`The page does not say: ${text}. It says: ${last}`);
      }
    },
    async textOf(selector) {
      const look = async () => {
        const text = await textIn(selector);
        return text === null ? null : [text];
      };
      const seen = await driver.wait(look, WAIT_MS, `no element ${selector} is there and visible`, POLL_MS);
      return seen?.[0] ?? '';
    },
    async textWhen(selector, passes) {
      let last = '';
      const looked = async () => {
        const text = await textIn(selector);
        last = text ?? last;
        return text !== null && passes(text);
      };
      try {
        await driver.wait(looked, WAIT_MS, undefined, POLL_MS);
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
        // Only what is wrong is named: naming what is right costs more than finding it.
        window.axe.run(document, { resultTypes: ['violations'] }).then((result) => done(result.violations
          .filter(({ impact }) => impact === 'serious' || impact === 'critical')
          .map(({ id, nodes }) => id + ': ' + nodes.map(({ html }) => html.slice(0, 120)).join(' | '))));
      `);
    },
    async close() {
      const told = await driver.manage().logs().get(logging.Type.BROWSER);
      await driver.quit();
      rmSync(profile, { recursive: true, force: true });
      const own = told.map(({ message }) => message).filter((message) => !OF_THE_NETWORK.test(message));
      if (own.length > 0) throw new Error(`The console of the browser says: ${own.join('\n')}`);
    },
    kill() {
      // Its parts all name the profile.
      spawnSync('pkill', ['-KILL', '-f', profile]);
      driver.quit().catch(() => undefined);
      rmSync(profile, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 });
    },
  };
}
