import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { Builder, By, Key, until, type WebDriver, type WebElement } from 'selenium-webdriver';
import chrome from 'selenium-webdriver/chrome.js';
import { Line } from './line';

const CHROMIUM =
  ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find((path) => existsSync(path)) ?? '/usr/bin/chromium';
const FLAGS = [
  '--headless=new',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--lang=en-US',
];
export const PATIENCE_MS = 30_000;
/** Longer than a search goes on, on a machine that does other things beside it. */
export const SEARCH_MS = 60_000;
/** Longer than a page ever rests between two tries to reach a server that did not answer. */
export const BACK_MS = 75_000;

/** A browser used as a person would: by role, label and text; it counts every click, key and filled field. */
export class Person {
  interactions = 0;
  readonly driver: WebDriver;
  private readonly profile: string;
  private readonly line: Line | null;

  private constructor(driver: WebDriver, profile: string, line: Line | null) {
    this.driver = driver;
    this.profile = profile;
    this.line = line;
  }

  /**
   * @param fixedNow when given, the page's clock stands at that moment (ISO 8601)
   * @param names names of hosts that lead to this machine, as a name server would say
   * @param lineTo port of a server that is reached by a line of this browser's own, which goes with its connection
   * @param keepsNothing the browser refuses to keep a database for the page, as some private windows do
   */
  static async open(
    options: {
      width?: number;
      height?: number;
      fixedNow?: string;
      keepsNothing?: boolean;
      names?: readonly string[];
      lineTo?: number;
    } = {},
  ): Promise<Person> {
    process.env.SE_OFFLINE = 'true';
    const profile = mkdtempSync(join(tmpdir(), 'euporia-browser-'));
    const settings = new chrome.Options();
    settings.setChromeBinaryPath(CHROMIUM);
    settings.addArguments(...FLAGS, `--user-data-dir=${profile}`);
    const line = options.lineTo === undefined ? null : await Line.to(options.lineTo);
    const rules = (options.names ?? []).map((name) => `MAP ${name} 127.0.0.1`);
    if (line) rules.push(`MAP 127.0.0.1 127.0.0.1:${line.port}`);
    if (rules.length > 0) settings.addArguments(`--host-resolver-rules=${rules.join(',')}`);
    const driver = await new Builder()
      .forBrowser('chrome')
      .setChromeOptions(settings)
      .setChromeService(new chrome.ServiceBuilder('/usr/bin/chromedriver'))
      .build();
    const person = new Person(driver, profile, line);
    await person.size(options.width ?? 1280, options.height ?? 800);
    if (options.fixedNow) {
      const at = Date.parse(options.fixedNow);
      await person.devtools('Page.addScriptToEvaluateOnNewDocument', {
        source: `{const R=Date,at=${at};class D extends R{constructor(...a){if(a.length===0)super(at);else super(...a)}static now(){return at}};window.Date=D;}`,
      });
    }
    if (options.keepsNothing)
      await person.devtools('Page.addScriptToEvaluateOnNewDocument', {
        source: `Object.defineProperty(window,'indexedDB',{value:{open(){throw new DOMException('no','SecurityError')}}});`,
      });
    return person;
  }

  async devtools(command: string, parameters: object): Promise<void> {
    await (
      this.driver as unknown as { sendDevToolsCommand(command: string, parameters: object): Promise<void> }
    ).sendDevToolsCommand(command, parameters);
  }

  /** Takes the connection of this browser away, or gives it back. */
  async offline(gone: boolean): Promise<void> {
    if (gone) this.line?.cut();
    else this.line?.mend();
    await this.devtools('Network.enable', {});
    await this.devtools('Network.emulateNetworkConditions', {
      offline: gone,
      latency: 0,
      downloadThroughput: -1,
      uploadThroughput: -1,
    });
  }

  /** Waits until a field holds a value. */
  async seeValue(label: string, value: string): Promise<void> {
    await this.driver.wait(
      async () => (await this.valueOf(label)) === value,
      PATIENCE_MS,
      `“${label}” never holds “${value}”`,
    );
  }

  async size(width: number, height: number): Promise<void> {
    await this.devtools('Emulation.setDeviceMetricsOverride', {
      width,
      height,
      deviceScaleFactor: 1,
      mobile: width < 600,
    });
  }

  async close(): Promise<void> {
    await this.driver.quit();
    await this.line?.close();
    rmSync(this.profile, { recursive: true, force: true, maxRetries: 5 });
  }

  async goto(url: string): Promise<void> {
    await this.driver.get(url);
  }

  /** The first visible element of an XPath, waited for. */
  async see(xpath: string, patienceMs = PATIENCE_MS): Promise<WebElement> {
    let found: WebElement | null = null;
    await this.driver
      .wait(
        async () => {
          for (const element of await this.driver.findElements(By.xpath(xpath))) {
            if (await element.isDisplayed().catch(() => false)) {
              found = element;
              return true;
            }
          }
          return false;
        },
        patienceMs,
        `nothing visible at ${xpath}`,
      )
      .catch(async (error: Error) => {
        await this.lastLook();
        throw error;
      });
    return found as unknown as WebElement;
  }

  /** Waits until some text stands on the page; longer than one waits for a press where a search of its own limit comes first. */
  async seeText(text: string, patienceMs = PATIENCE_MS): Promise<void> {
    await this.driver
      .wait(async () => (await this.text()).includes(text), patienceMs)
      .catch(async () => {
        await this.lastLook();
        throw new Error(`the page never says “${text}”; it says: ${(await this.text()).slice(0, 1500)}`);
      });
  }

  async notText(text: string, patienceMs = PATIENCE_MS): Promise<void> {
    await this.driver.wait(
      async () => !(await this.text()).includes(text),
      patienceMs,
      `the page still says “${text}”`,
    );
  }

  /** What the page says; of a list that is closed, what is chosen in it and not what could be. */
  async text(): Promise<string> {
    return (await this.driver.executeScript(`
      const lists = [...document.querySelectorAll('select')].filter((list) => list.getClientRects().length > 0);
      return lists.reduce(
        (text, list) => text.replace(list.innerText, () => list.selectedOptions[0]?.text ?? ''),
        document.body.innerText,
      );`)) as string;
  }

  /** Presses a button, a link or a tab by its name: the whole accessible name, or its beginning. */
  async press(name: string): Promise<void> {
    await this.click(
      `//*[self::button or self::a or @role="button" or @role="tab"][@aria-label=${quoted(name)} or normalize-space(.)=${quoted(name)} or starts-with(@aria-label, ${quoted(name)}) or starts-with(normalize-space(.), ${quoted(name)})]`,
    );
  }

  /** Goes to a stage by its name on the tape. */
  async stage(name: string): Promise<void> {
    await this.click(`//nav[@aria-label="Stages"]//a[starts-with(normalize-space(.), ${quoted(name)})]`);
  }

  async click(xpath: string): Promise<void> {
    this.interactions += 1;
    await this.steadily(async () => {
      const element = await this.see(xpath);
      await this.driver.executeScript('arguments[0].scrollIntoView({block: "center"})', element);
      await element.click();
    });
  }

  /** Does something to the page; again, as a person would, while the page is just being drawn anew there. */
  private async steadily(act: () => Promise<void>): Promise<void> {
    for (let tries = 0; ; tries += 1) {
      try {
        return await act();
      } catch (error) {
        if (tries > 20 || !/stale|intercepted|not interactable/i.test(String(error))) throw error;
        await this.driver.sleep(100);
      }
    }
  }

  /**
   * A dialog that is still closing takes the focus back to the button that opened it, and what is being typed
   * would go there: a person waits until it is gone.
   */
  private async uncovered(element: WebElement): Promise<void> {
    const covered = await this.driver.executeScript(
      `arguments[0].scrollIntoView({block: 'nearest'});
       const box = arguments[0].getBoundingClientRect();
       const top = document.elementFromPoint(box.x + box.width / 2, box.y + box.height / 2);
       const dialog = top && top.closest('.ant-modal-wrap');
       return Boolean(dialog && !dialog.contains(arguments[0]));`,
      element,
    );
    if (covered) throw new Error('intercepted: a dialog lies over the field');
  }

  private field(label: string): string {
    return `//input[@aria-label=${quoted(label)}] | //label[.//span[normalize-space(.)=${quoted(label)}]]//*[self::input or self::textarea] | //input[@id=//label[normalize-space(.)=${quoted(label)}]/@for] | //textarea[@aria-label=${quoted(label)}]`;
  }

  async valueOf(label: string): Promise<string> {
    return (await (await this.see(this.field(label))).getAttribute('value')) ?? '';
  }

  /** Fills a field by its label; leaves it with `leave` (Tab by default, Enter where it submits). */
  async fill(label: string, text: string, leave: 'tab' | 'enter' | 'stay' = 'tab'): Promise<void> {
    this.interactions += 1;
    if (leave === 'enter') this.interactions += 1;
    const last = { tab: [Key.TAB], enter: [Key.ENTER], stay: [] }[leave];
    // In one go: a field that is drawn anew in between is written again from its beginning.
    await this.steadily(async () => {
      const element = await this.see(this.field(label));
      await this.uncovered(element);
      await element.sendKeys(Key.chord(Key.CONTROL, 'a'), Key.BACK_SPACE, text, ...last);
    });
  }

  /** Gives files to a file field by its label; several are parted by line breaks. */
  async give(label: string, ...paths: string[]): Promise<void> {
    this.interactions += 1;
    const place = By.xpath(`//input[@type="file"][@aria-label=${quoted(label)}]`);
    const input = await this.driver.wait(until.elementLocated(place), PATIENCE_MS, `no file field “${label}”`);
    await input.sendKeys(paths.join('\n'));
  }

  /** Presses a button that saves a file, and returns what the file says. */
  async download(button: string): Promise<string> {
    return (await this.downloadBytes(button)).toString('utf8');
  }

  /** The same as bytes: a picture, an archive. */
  async downloadBytes(button: string): Promise<Buffer> {
    const folder = mkdtempSync(join(this.profile, 'saved-'));
    await this.devtools('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder });
    await this.press(button);
    const whole = () => readdirSync(folder).filter((name) => !name.endsWith('.crdownload'));
    await this.driver.wait(async () => whole().length > 0, PATIENCE_MS, `no file came of “${button}”`);
    return readFileSync(join(folder, whole()[0] ?? ''));
  }

  /** Chooses an entry of a labeled list: one of the browser's own, or one of the component library. */
  async choose(label: string, entry: string): Promise<void> {
    const own = `//select[@aria-label=${quoted(label)}]`;
    const library = `//*[@aria-label=${quoted(label)} and (@role="combobox" or self::input)]/ancestor::*[contains(@class,"ant-select")][1]`;
    const list = await this.see(`${own} | ${library}`);
    if ((await list.getTagName()) === 'select') {
      this.interactions += 1;
      await this.click(`${own}//option[normalize-space(.)=${quoted(entry)}]`);
    } else {
      await this.click(library);
      await this.click(`//*[contains(@class,"ant-select-item-option-content")][normalize-space(.)=${quoted(entry)}]`);
    }
  }

  /** Finds an entry of a long list by writing its name, and takes it. */
  async pick(label: string, entry: string): Promise<void> {
    this.interactions += 1;
    const input = await this.driver.findElement(By.xpath(`//input[@aria-label=${quoted(label)}]`));
    await input.sendKeys(entry, Key.ENTER, Key.ESCAPE);
    await this.see(`//*[contains(@class,"ant-select-selection-item")][@title=${quoted(entry)}]`);
  }

  async key(...keys: string[]): Promise<void> {
    this.interactions += 1;
    await this.driver
      .actions()
      .sendKeys(...keys)
      .perform();
  }

  /** Keeps a picture of what stood there when something was not found, in the cache folder. */
  private async lastLook(): Promise<void> {
    const folder = join(dirname(dirname(dirname(fileURLToPath(import.meta.url)))), '.cache');
    mkdirSync(folder, { recursive: true });
    writeFileSync(join(folder, `not-found-${Date.now()}.png`), await this.driver.takeScreenshot(), 'base64');
  }

  async count(xpath: string): Promise<number> {
    return (await this.driver.findElements(By.xpath(xpath))).length;
  }

  async picture(path: string): Promise<void> {
    await this.driver.executeAsyncScript(
      'const done=arguments[0];document.fonts.ready.then(()=>requestAnimationFrame(()=>requestAnimationFrame(()=>done())))',
    );
    writeFileSync(path, await this.driver.takeScreenshot(), 'base64');
  }

  /** Waits for everything to be saved; longer where a server was away meanwhile. */
  async saved(patienceMs = PATIENCE_MS): Promise<void> {
    await this.see('//*[@role="status"][normalize-space(.)="Saved"]', patienceMs);
  }
}

export { By, Key, until };

/** A string as an XPath literal. */
function quoted(text: string): string {
  return text.includes('"') ? `concat("${text.split('"').join(`", '"', "`)}")` : `"${text}"`;
}
