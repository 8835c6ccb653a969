import { By } from "selenium-webdriver";
import { startApp, type AppServer } from "./app-server";
import { DESK, openBrowser, PHONE, type Browser } from "./browser";
import { doing } from "./doing";
import { pageOf, type Page } from "./page";

const HOME = "/homes/sluice-house";
const SCREENS: [string, string][] = [
  ["Today", HOME],
  ["the house", `${HOME}/house`],
  ["a unit", `${HOME}/units/cellar-furnace`],
  ["a filter slot", `${HOME}/parts/cellar-filter`],
  ["a coil", `${HOME}/parts/cellar-furnace-evaporator-coil`],
  ["a part with readings", `${HOME}/parts/loft-ventilator-recovery-core`],
  ["all jobs", `${HOME}/jobs`],
  ["a job", `${HOME}/jobs/dryer-dryer-duct.brush`],
  ["a reading", `${HOME}/reading?place=cellar-furnace-capacitor`],
  ["a part that is no filter", `${HOME}/parts/cellar-furnace-condensate-line`],
  ["an alarm", `${HOME}/units/alarm-ground`],
  ["a unit's form", `${HOME}/units/yard-condenser/edit`],
  ["a step of entering", `${HOME}/units/loft-ventilator/set-up/plate`],
  ["a note", `${HOME}/units/cellar-furnace/note`],
  ["rooms", `${HOME}/rooms`],
  ["a stop of the walk", `${HOME}/walk/room-ground-hall`],
  ["contacts", `${HOME}/contacts`],
  ["visits", `${HOME}/visits`],
  ["instruments", `${HOME}/instruments`],
  ["the end of a visit", `${HOME}/visits/visit-next/end`],
  ["air systems", `${HOME}/systems`],
  ["the sheet of shut-offs", `${HOME}/shut-offs`],
  ["a procedure", `${HOME}/procedures/change-panel-filter`],
  ["a new home", "/homes/new"],
  ["the home's form", `${HOME}/edit`],
  ["the household", `${HOME}/household`],
  ["a new unit", `${HOME}/units/new`],
  ["a slot's form", `${HOME}/parts/cellar-filter/edit`],
  ["a look", `${HOME}/look`],
  ["the label", `${HOME}/parts/cellar-filter/label`],
  ["what to know before a job", `${HOME}/jobs/yard-condenser-condenser-coil.clean/start`],
  ["ways to do a job", "/homes/boathouse/jobs/boat-boiler-magnetic-filter.clean/start"],
  ["a procedure of one’s own", `${HOME}/procedures/new?copy=polish-flame-sensor`],
  ["the library", `${HOME}/procedures`],
  ["the list of tools", `${HOME}/tools`],
  ["how things should be", `${HOME}/as-it-should-be`],
  ["what a plate says", `${HOME}/parts/cellar-filter/identity`],
  ["a run that waits for its drying", "/runs/demo-core-run"],
  ["removed things", `${HOME}/removed`],
  ["the welcome", "/welcome"],
];

/** What is used on a phone beside a machine, and a form of each kind. */
const IN_HAND = new Set([
  "Today",
  "the house",
  "a unit",
  "a filter slot",
  "all jobs",
  "a reading",
  "a step of entering",
  "a stop of the walk",
  "rooms",
  "the household",
  "a look",
  "what to know before a job",
  "a run that waits for its drying",
  "how things should be",
]);

describe.each([
  ["light at the desk", DESK, false],
  ["dark on a phone", PHONE, true],
] as const)("every screen, %s", (_, size, dark) => {
  let app: AppServer;
  let browser: Browser;
  let page: Page;

  beforeAll(async () => {
    app = await startApp("demo");
    browser = await openBrowser(size, dark);
    page = pageOf(browser.driver);
  });
  afterAll(async () => {
    await browser?.quit();
    await app?.stop();
  });

  it.each(size === DESK ? SCREENS : SCREENS.filter(([name]) => IN_HAND.has(name)))(
    "%s has nothing axe objects to, fits, and makes no error",
    async (_name, path) => {
      await page.open(app.url + path);
      await page.find(By.css("h1"));
      expect(await page.axe()).toEqual([]);
      expect(await page.scrollsSideways()).toBe(false);
      expect(await page.consoleErrors()).toEqual([]);
    },
  );

  it("so has a run, at a caution, at what is seen, at its finish and after it", async () => {
    const run = doing(browser, page);
    const sound = async () => {
      expect(await page.axe()).toEqual([]);
      expect(await page.scrollsSideways()).toBe(false);
    };
    await page.open(`${app.url}${HOME}/parts/cellar-filter`);
    await page.press("Change it");
    await run.start("Change: start");
    for (const heading of [
      "Have the new filter",
      "Compare the printed sizes",
      "Switch the power off",
      "Open the slot",
      "Pull the old",
    ]) {
      await page.heading(heading);
      await sound();
      await page.press("Done, go on");
    }
    await page.heading("How does the old one look?");
    await sound();
    await page.tick("grey");
    await page.press("Grey, go on");
    await run.see("Did dust get past", "No, its edges are clean");
    await page.heading("What lies in the slot?");
    await sound();
    await run.see("What lies in the slot?", "dust and fluff");
    await run.through("Wipe", "Slide it in", "Write today", "Close the slot");
    await run.airAgain();
    await page.heading("Everything is back");
    await sound();
    await run.finish();
    await sound();
    expect(await page.consoleErrors()).toEqual([]);
  });

  it("so has a run on hold, and what it asks in passing", async () => {
    const run = doing(browser, page);
    await page.open(`${app.url}${HOME}/jobs/home.walk/start`);
    await run.start("Walk: start");
    await run.at("See to every CO alarm");
    await page.press("Not possible now");
    await page.seen("What comes nearest");
    expect(await page.axe()).toEqual([]);
    await page.press("Cancel");
    await page.press("Emergency");
    await page.press("A CO alarm sounds");
    await page.heading("CO alarm: everybody out, now");
    expect(await page.axe()).toEqual([]);
    expect(await page.scrollsSideways()).toBe(false);
  });
});
