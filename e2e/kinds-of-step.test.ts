import { By, Key } from "selenium-webdriver";
import { CLOCK, startApp, type AppServer } from "./app-server";
import { openBrowser, PHONE, type Browser } from "./browser";
import { doing } from "./doing";
import { pageOf, type Page } from "./page";

const SLUICE = "/homes/sluice-house";
const BOATHOUSE = "/homes/boathouse";
const MOST_STEPS = 45;
const DAY_MS = 86_400_000;

/**
 * What is new in kind, in whole jobs: gates of dryness, a dwell, counts, marks and settings shown again,
 * what a season parks and another wakes, a sensor before and after, what is seen leading on. On a phone,
 * by its keys; the core’s own tests go all the ways of every procedure.
 */
describe("kinds of steps", () => {
  let app: AppServer;
  let browser: Browser;
  let page: Page;
  let run: ReturnType<typeof doing>;
  let clock = Date.parse(CLOCK);

  beforeAll(async () => {
    app = await startApp("demo");
    browser = await openBrowser(PHONE);
    page = pageOf(browser.driver);
    run = doing(browser, page);
  });
  afterAll(async () => {
    await browser?.quit();
    await app?.stop();
  });

  /** Read in one go: a step that goes on while it is read leaves no half. */
  const heading = () =>
    browser.driver.executeScript<string>(
      "return document.querySelector('main h2')?.innerText ?? ''",
    );
  const button = async () =>
    (await page.find(By.css("footer > div:last-child > button:last-child"))).getText();
  const says = async () => (await page.find(By.css("main"))).getText();

  async function begin(
    job: string,
    submit: string,
    { home = SLUICE, isTheirs = false, way = "" } = {},
  ): Promise<void> {
    await page.open(`${app.url}${home}/jobs/${job}/start${way ? `?way=${way}` : ""}`);
    await page.find(By.xpath(`//button[normalize-space(.)="${submit}"]`));
    if (isTheirs) await page.tick("A licensed person, here now");
    await run.start(submit);
    await browser.driver.wait(
      async () => (await browser.driver.getCurrentUrl()).includes("/runs/"),
      15_000,
    );
  }

  /** Whatever runs, dries or dwells is over a day later. */
  async function waitADay(): Promise<void> {
    const before = await heading();
    clock += DAY_MS;
    await app.moveClock(new Date(clock).toISOString());
    await page.reload();
    await page.heading(before);
    await browser.driver.wait(async () => !/^Not/.test(await button()), 15_000);
  }

  type Answers = Record<string, { choose?: string; type?: Record<string, string> }>;

  /** Answers what the step asks: as told, else what stands first. */
  async function answer(at: string, answers: Answers): Promise<void> {
    const { driver } = browser;
    const told = Object.entries(answers).find(([name]) => at.includes(name))?.[1];
    for (const [name, text] of Object.entries(told?.type ?? {})) {
      const field = await page.find(By.css(`#step-record input[name=${name}]`));
      await field.sendKeys(Key.chord(Key.CONTROL, "a"), Key.DELETE, text);
    }
    if (told?.choose) await page.tick(told.choose);
    else if (!told?.type)
      await (
        await driver.findElements(By.css("#step-record label:has(input[type=radio])"))
      )[0]?.click();
    await driver.executeScript("document.activeElement?.blur()");
  }

  /** On with the space bar, until a step whose heading says this is at hand. */
  async function goTo(until: string, answers: Answers = {}): Promise<void> {
    let now = await heading();
    for (let steps = 0; !now.includes(until); steps++) {
      if (steps > MOST_STEPS) throw new Error(`${until} never comes: ${now}`);
      if (/^Not/.test(await button())) await waitADay();
      const isTold = Object.keys(answers).some((name) => now.includes(name));
      if (isTold || /^(Choose|Say what)/.test(await button())) await answer(now, answers);
      await page.keys(Key.SPACE);
      const before = now;
      await browser.driver.wait(
        async () => (await heading()) !== before,
        15_000,
        `Stays at ${before}`,
      );
      now = await heading();
    }
  }
  const toEnd = (answers: Answers = {}) => goTo("Everything is back", answers);

  it("keeps cells out until they are bone dry, and counts them in again", async () => {
    await begin("hall-cells.renew", "Wash: start");
    await goTo("Dry to the touch", { "Count the cells": { type: { count: "3" } } });
    expect(await button()).toMatch(/^Not/);
    await waitADay();
    await page.tick("Still damp somewhere");
    await page.keys(Key.SPACE);
    // An hour more: no press shortens it.
    await browser.driver.wait(async () => /^Not/.test(await button()), 15_000);
    await waitADay();
    await page.tick("Bone dry, every one");
    await page.keys(Key.SPACE);
    await goTo("Count the cells that are in");
    await page.seen("Cells that came out: 3");
    await page.type("Cells that went in", "2");
    await page.press("Done, go on");
    await page.heading("Count the cells that are in");
    await toEnd({ "Count the cells that are in": { type: { count: "3" } } });
    await run.finish();
  });

  it("cleans an indoor coil dry before wet, lets the foam dwell, and asks whether the filter fits", async () => {
    await begin("cellar-furnace-evaporator-coil.clean", "Clean: start");
    await goTo("How does the coil look?", { "Count the screws": { type: { count: "6" } } });
    await page.tick("matted");
    expect(await says()).toContain("does the filter fit its slot?");
    await page.keys(Key.SPACE);
    await goTo("Comb and brush it dry");
    await goTo("Let the foam work");
    expect(await (await page.find(By.css("[data-testid=wait]"))).getText()).toMatch(
      /^\d+:\d\d left/,
    );
    await toEnd({
      "Count the screws again": { type: { count: "6" } },
      "How does the coil look now": { choose: "clean" },
    });
    expect(await run.openCount()).toBe("0");
    await run.finish();
    // What was seen before the work leads on all the same.
    await page.seen("Does it fit? Measure slot and filter: Cellar furnace");
  });

  it("lays a cooler by for the winter, says so, and wakes it in its season", async () => {
    await begin("box-cooler-drain-ports.store", "Store: start");
    await toEnd();
    await run.finish();
    await page.open(`${app.url}${SLUICE}/units/box-cooler`);
    await page.seen("Laid by for the season.");
    await page.open(`${app.url}${SLUICE}`);
    expect(await says()).not.toContain("plug pulled");
    await begin("box-cooler-drain-ports.wake", "Wake: start");
    await goTo("Plug it in");
    expect(await says()).toContain("No extension lead");
    await toEnd();
    await run.finish();
    await page.open(`${app.url}${SLUICE}/units/box-cooler`);
    expect(await says()).not.toContain("Laid by");
  });

  it("brushes a dryer’s duct from outside alone, its duct left where it is", async () => {
    await begin("dryer-dryer-duct.brush", "Brush: start", { way: "brush-dryer-duct.outside" });
    await goTo("Lay a sheet below the flap");
    expect(await run.openCount()).toBe("1");
    await toEnd();
    await run.finish();
  });

  it("looks at the seal of a ventilator’s filter before its cover is closed by hand", async () => {
    await begin("boat-fine.renew", "Change: start", { home: BOATHOUSE });
    await goTo("Look at the seal before you close it");
    await toEnd();
    await run.finish();
    await page.open(`${app.url}${BOATHOUSE}/parts/boat-fine`);
    await page.seen("New filter fitted");
  });

  it("digs an outdoor unit free with its disconnect pulled, and leaves a block of ice off", async () => {
    await begin("studio-pump-clearance.snow", "Dig: start");
    await goTo("Is there ice on its coil?");
    expect(await run.openCount()).toBe("1");
    await answer("Is there ice", { "Is there ice": { choose: "a block of ice" } });
    await page.keys(Key.SPACE);
    await page.heading("Have somebody look why it does not thaw itself");
  });

  it("shows the marks of room valves again where they go back, and keeps them on the sheet", async () => {
    await begin("boat-heater-room-valves.wash", "Wash: start", { home: "/homes/boathouse" });
    await goTo("Each back to its own room", {
      "Mark room": { type: { said: "bath 3 turns, kitchen 5" } },
      "Count the valves": { type: { count: "4" } },
    });
    await page.seen("Room valves, open by: bath 3 turns, kitchen 5");
    await toEnd({ "Count the valves again": { type: { count: "4" } } });
    await run.finish();
    await page.open(`${app.url}/homes/boathouse/as-it-should-be`);
    await page.seen("bath 3 turns, kitchen 5");
  });

  it("measures a room heater’s sensor before and after, and counts its filters", async () => {
    await begin("heater-filters.renew", "Clean: start");
    const offset = (value: string) => ({ type: { value, second: "20" } });
    await goTo("after", {
      "thermometer beside it, before": offset("24"),
      "Count the filters": { type: { count: "2" } },
    });
    expect(await says()).toMatch(/As you noted it/);
    await toEnd({ "thermometer, after": offset("20.5") });
    await run.finish();
    await page.open(`${app.url}${SLUICE}/units/workshop-heater`);
    await page.seen("Display against thermometer");
  });

  it("counts a bank of four out and in", async () => {
    await begin("gallery-bank.renew", "Change: start", { isTheirs: true });
    await toEnd({ Count: { type: { count: "4" } } });
    expect(await run.openCount()).toBe("0");
  });

  it("goes round by the sheet of settings, and reads a plate in passing", async () => {
    await begin("home.walk", "Walk: start");
    await goTo("Is everything set as it should be?");
    await page.press("All as it should be");
    await page.choose("Loft ventilator, level: 2, by day and night", "put back to that");
    await browser.driver.executeScript("document.activeElement?.blur()");
    await page.keys(Key.SPACE);
    await toEnd();
    await run.finish();
    await begin("cellar-furnace.look", "Look: start");
    await goTo("Take the doors off", {});
    await page.press("Its plate is in sight: one thing nobody knows yet");
    await page.type("Made on", "1.9.2014");
    await page.press("Keep it");
    await toEnd();
    await run.finish();
    await page.open(`${app.url}${SLUICE}/units/cellar-furnace/edit`);
    expect(await (await page.field("Made on")).getAttribute("value")).toBe("01.09.2014");
  });
});
