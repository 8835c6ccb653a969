import { By, Key } from "selenium-webdriver";
import { PROCEDURES } from "../src/content/procedures/library";
import { CLOCK, startApp, type AppServer } from "./app-server";
import { openBrowser, PHONE, type Browser } from "./browser";
import { doing } from "./doing";
import { pageOf, type Page } from "./page";

/** Where each is done in the demo, and the word on its button; the others have errands of their own. */
const PLACES: [string, string, string, string][] = [
  ["clean-washable-filter", "sluice-house", "hall-prefilter.renew", "Clean: start"],
  ["polish-flame-sensor", "sluice-house", "cellar-furnace-flame-sensor.polish", "Polish: start"],
  ["cooling-test", "sluice-house", "yard-condenser.test", "Try: start"],
  ["rinse-outdoor-coil", "sluice-house", "yard-condenser-condenser-coil.clean", "Rinse: start"],
  ["wash-fine-filter", "sluice-house", "studio-pump-fine-filter.wash", "Wash: start"],
  ["purifier-pre-filter", "sluice-house", "purifier-wrap.renew", "Change: start"],
  ["magnetic-quick-flush", "boathouse", "boat-boiler-magnetic-filter.clean", "Flush: start"],
  ["wash-electrostatic-cells", "sluice-house", "hall-cells.renew", "Wash: start"],
  ["brush-portable-coils", "sluice-house", "box-cooler-condenser-coil.clean", "Brush: start"],
  ["walk-round", "sluice-house", "home.walk", "Walk: start"],
];
const MOST_STEPS = 40;
const DAY_MS = 86_400_000;

/**
 * Every procedure, in the first of its ways, on a phone, by the keys alone, with what is sound. The core’s
 * own tests go all the ways there are.
 */
describe("every procedure", () => {
  let app: AppServer;
  let browser: Browser;
  let page: Page;
  let clock = Date.parse(CLOCK);

  beforeAll(async () => {
    app = await startApp("demo");
    browser = await openBrowser(PHONE);
    page = pageOf(browser.driver);
  });
  afterAll(async () => {
    await browser?.quit();
    await app?.stop();
  });

  const heading = async () => (await page.find(By.css("h2"))).getText();
  const buttons = async () =>
    (await page.find(By.css("footer > div:last-child > button:last-child"))).getText();

  /** Answers whatever the step at hand asks: the first choice, or a number that is sound. */
  async function answer(): Promise<void> {
    const { driver } = browser;
    const SOUND: Record<string, string> = { value: "1.5", second: "14", count: "2" };
    const fields = await driver.findElements(By.css("#step-record input:not([type=radio])"));
    for (const field of fields) {
      const name = (await field.getAttribute("name")) ?? "";
      const value = fields.length === 2 && name === "value" ? "24" : SOUND[name];
      if (value) await field.sendKeys(value);
    }
    const choices = await driver.findElements(By.css("#step-record label:has(input[type=radio])"));
    // Of water that runs off, the clear one; of all else what stands first is sound.
    await choices[0]?.click();
    await driver.executeScript("document.activeElement?.blur()");
  }

  /** One step: its answer, its wait, and the space bar; the heading of the next. */
  async function step(): Promise<string> {
    const before = await heading();
    if (/^Not/.test(await buttons())) {
      await app.kill();
      // Whatever runs or dries is over a day later.
      clock += DAY_MS;
      await app.start(new Date(clock).toISOString());
      await page.reload();
      await page.heading(before);
      await browser.driver.wait(async () => !/^Not/.test(await buttons()), 15_000);
    }
    if (/^(Choose|Say what)/.test(await buttons())) await answer();
    await page.keys(Key.SPACE);
    await browser.driver.wait(
      async () => (await heading()) !== before,
      15_000,
      `Stays at ${before}`,
    );
    return heading();
  }

  const ways = PLACES.flatMap(([id, home, job, submit]) => {
    const first = PROCEDURES.find((each) => each.id === id)?.variants?.[0];
    return [[first ? `${id}.${first.id}` : id, home, job, submit] as const];
  });

  it.each(ways)(
    "%s is led through to its end, and nothing stays open",
    async (way, home, job, submit) => {
      const run = doing(browser, page);
      await page.open(`${app.url}/homes/${home}/jobs/${job}/start?way=${way}`);
      await run.start(submit);
      await browser.driver.wait(
        async () => (await browser.driver.getCurrentUrl()).includes("/runs/"),
        15_000,
      );
      let now = await heading();
      for (let steps = 0; !now.startsWith("Everything is back"); steps++) {
        if (steps > MOST_STEPS) throw new Error(`${way} comes to no end: ${now}`);
        now = await step();
      }
      expect(await run.openCount()).toBe("0");
      await run.finish();
      expect(await browser.driver.findElements(By.css("[data-testid=next-due]"))).toHaveLength(1);
    },
  );
});
