import { readFileSync } from "node:fs";
import { By, error as driverError, Key, type WebDriver, type WebElement } from "selenium-webdriver";

const axeSource = readFileSync(require.resolve("axe-core/axe.min.js"), "utf8");
/** Long, for a machine that is busy with other things; what is there is found at once. */
const WAIT_MS = 30_000;
const SETTLE_MS = 100;

/** The first by CSS or XPath that can be seen, found in one question: the driver would ask for each one by itself. */
const FIRST_SEEN = `
  const [how, where] = arguments;
  const found = [];
  if (how === "css selector") found.push(...document.querySelectorAll(where));
  else {
    const nodes = document.evaluate(where, document, null, XPathResult.ORDERED_NODE_SNAPSHOT_TYPE);
    for (let at = 0; at < nodes.snapshotLength; at++) found.push(nodes.snapshotItem(at));
  }
  const isSeen = (element) =>
    element.checkVisibility({ opacityProperty: true, visibilityProperty: true }) &&
    element.getClientRects().length > 0;
  return found.find(isSeen) ?? null;`;

/** What a person does and sees on a page, in the words on it. */
export function pageOf(driver: WebDriver) {
  /** Waits until it can be seen: a page being streamed in holds hidden copies. */
  const find = async (locator: By): Promise<WebElement> => {
    try {
      return (await driver.wait(
        () => driver.executeScript<WebElement | null>(FIRST_SEEN, locator.using, locator.value),
        WAIT_MS,
      )) as WebElement;
    } catch {
      const instead = await driver.executeScript<string>(
        "return [...document.querySelectorAll('h1, h2, [role=alert]')].map((each) => each.innerText).join(' / ')",
      );
      const url = await driver.getCurrentUrl();
      throw new Error(`Nothing to be seen at ${locator.toString()}, but at ${url}: ${instead}`);
    }
  };
  const quoted = (text: string) => `"${text}"`;
  const seen = async (text: string) => {
    const path = `//*[not(self::script)][contains(normalize-space(.), ${quoted(text)})][not(*[contains(normalize-space(.), ${quoted(text)})])]`;
    return find(By.xpath(path));
  };
  /**
   * A page that has just changed may scroll to its heading, or draw itself anew: what lies under another
   * is scrolled to again, and what is gone is looked for again.
   */
  const click = (locator: By) =>
    driver.wait(
      async () => {
        try {
          const element = await find(locator);
          await driver.executeScript("arguments[0].scrollIntoView({ block: 'center' })", element);
          await element.click();
          return true;
        } catch (error) {
          const isPassing =
            error instanceof driverError.ElementClickInterceptedError ||
            error instanceof driverError.StaleElementReferenceError;
          if (isPassing) return false;
          throw error;
        }
      },
      WAIT_MS,
      "It stays under something else",
    );
  const press = async (name: string) =>
    click(
      By.xpath(
        `//*[self::a or self::button or self::summary][normalize-space(.)=${quoted(name)} or @aria-label=${quoted(name)}]`,
      ),
    );
  /** Presses a link that says this among other things. */
  const follow = async (words: string) =>
    click(By.xpath(`//main//a[contains(normalize-space(.), ${quoted(words)})]`));
  const field = (label: string) =>
    find(By.xpath(`//*[@id=//label[starts-with(normalize-space(.), ${quoted(label)})]/@for]`));
  const type = async (label: string, text: string) => {
    const element = await field(label);
    await element.sendKeys(Key.chord(Key.CONTROL, "a"), Key.DELETE, text);
  };
  /** Dates can't be typed the same way in every locale: the value is set as a picker would. */
  /** Waits until what is there says it. */
  const says = (css: string, words: RegExp) =>
    driver.wait(async () => {
      try {
        return words.test(await driver.findElement(By.css(css)).getText());
      } catch {
        return false;
      }
    }, 15_000);
  const setDate = async (label: string, date: string) =>
    driver.executeScript(
      "const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set; set.call(arguments[0], arguments[1]); arguments[0].dispatchEvent(new Event('input', { bubbles: true }))",
      await field(label),
      date,
    );
  const choose = async (label: string, option: string) =>
    (await field(label))
      .findElement(By.xpath(`./option[normalize-space(.)=${quoted(option)}]`))
      .click();
  const tick = async (label: string) =>
    click(
      By.xpath(
        `//label[normalize-space(.)=${quoted(label)} or .//span[normalize-space(.)=${quoted(label)}]]`,
      ),
    );
  /** The problem said at a field; the form draws itself anew when it is answered, so look again. */
  const problemAt = async (label: string): Promise<string> => {
    const said = await driver.wait(async () => {
      try {
        const element = await field(label);
        if (!(await element.getAttribute("aria-invalid"))) return null;
        const [id] = ((await element.getAttribute("aria-describedby")) ?? "").split(" ");
        return await driver.findElement(By.id(id!)).getText();
      } catch (error) {
        if (error instanceof driverError.StaleElementReferenceError) return null;
        throw error;
      }
    }, WAIT_MS);
    return said ?? "";
  };
  const heading = async (text: string) =>
    find(By.xpath(`//*[self::h1 or self::h2][contains(normalize-space(.), ${quoted(text)})]`));
  /** Presses keys once the page has settled: its listeners come a moment after its words. */
  const keys = async (...list: string[]) => {
    await driver.executeAsyncScript(`setTimeout(arguments[arguments.length - 1], ${SETTLE_MS})`);
    await driver
      .actions()
      .sendKeys(...list)
      .perform();
  };

  /** Waits until the page's script has taken over: keys and presses before that go nowhere. */
  const awake = () =>
    driver.wait(
      () =>
        driver.executeScript<boolean>(
          "const main = document.querySelector('main'); return main !== null && Object.keys(main).some((key) => key.startsWith('__react'))",
        ),
      WAIT_MS,
    );

  /** What axe finds on the page: an empty list on a good one. */
  const axe = async (): Promise<string[]> => {
    // A page that asks the server again gives up its title for a moment; without one it fails here.
    await driver.wait(async () => (await driver.getTitle()) !== "", WAIT_MS);
    await driver.executeScript(axeSource);
    return driver.executeAsyncScript<string[]>(`
      const done = arguments[arguments.length - 1];
      axe.run(document, { resultTypes: ["violations"], preload: false }).then((result) =>
        done(result.violations.map((v) => v.id + ": " + v.nodes.map((n) => n.target.join(" ")).join(" | "))));
    `);
  };
  const scrollsSideways = () =>
    driver.executeScript<boolean>(
      "return document.documentElement.scrollWidth > document.documentElement.clientWidth",
    );
  const consoleErrors = async (): Promise<string[]> =>
    (await driver.manage().logs().get("browser"))
      .filter((entry) => entry.level.value >= 1000)
      .map((entry) => entry.message);
  return {
    find, seen, says, press, follow, field, type, setDate, choose, tick, problemAt, heading, keys, axe, scrollsSideways, consoleErrors,
    open: async (url: string) => {
      await driver.get(url);
      await awake();
    },
    reload: async () => {
      await driver.navigate().refresh();
      await awake();
    },
    /** Waits for whatever is asked of the page. */
    until: (isSo: () => Promise<boolean>) => driver.wait(isSo, WAIT_MS),
    scrollTo: (element: WebElement) =>
      driver.executeScript("arguments[0].scrollIntoView()", element),
  }; // prettier-ignore
}

export type Page = ReturnType<typeof pageOf>;
