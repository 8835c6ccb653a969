import { By } from "selenium-webdriver";
import { startApp, type AppServer } from "./app-server";
import { DESK, openBrowser, PHONE, type Browser } from "./browser";
import { pageOf, type Page } from "./page";

const HOME = "/homes/sluice-house";
const SCREENS: [string, string][] = [
  ["Today", HOME],
  ["the house", `${HOME}/house`],
  ["a unit", `${HOME}/units/cellar-furnace`],
  ["a filter slot", `${HOME}/parts/cellar-filter`],
  ["a slot of two", `${HOME}/parts/mesh-left`],
  ["a part with readings", `${HOME}/parts/loft-ventilator-recovery-core`],
  ["all jobs", `${HOME}/jobs`],
  ["a job", `${HOME}/jobs/dryer-dryer-duct.brush`],
  ["a job done", `${HOME}/jobs/dryer-dryer-duct.brush/done`],
  ["a job of one's own", `${HOME}/jobs/new?unit=dryer`],
  ["a reading", `${HOME}/reading?place=cellar-furnace-capacitor`],
  ["a part that is no filter", `${HOME}/parts/cellar-furnace-condensate-line`],
  ["an alarm", `${HOME}/units/alarm-ground`],
  ["a unit's form", `${HOME}/units/yard-condenser/edit`],
  ["a unit to replace", `${HOME}/units/cellar-furnace/replace`],
  ["a step of entering", `${HOME}/units/loft-ventilator/set-up/plate`],
  ["the parts step", `${HOME}/units/loft-ventilator/set-up/parts`],
  ["a new part", `${HOME}/units/cellar-furnace/parts/new`],
  ["a note", `${HOME}/units/cellar-furnace/note`],
  ["rooms", `${HOME}/rooms`],
  ["contacts", `${HOME}/contacts`],
  ["air systems", `${HOME}/systems`],
  ["an air system", `${HOME}/systems/cellar-furnace-air`],
  ["the sheet of shut-offs", `${HOME}/shut-offs`],
  ["a procedure", `${HOME}/procedures/change-panel-filter`],
  ["the other home", "/homes/boathouse/house"],
  ["a new home", "/homes/new"],
  ["the home's form", `${HOME}/edit`],
  ["the household", `${HOME}/household`],
  ["a new unit", `${HOME}/units/new`],
  ["a new slot", `${HOME}/units/cellar-furnace/slots/new`],
  ["a slot's form", `${HOME}/parts/cellar-filter/edit`],
  ["a look", `${HOME}/look`],
  ["a change made earlier", `${HOME}/parts/cellar-filter/changed`],
  ["the label", `${HOME}/parts/cellar-filter/label`],
  ["removed things", `${HOME}/removed`],
  ["the welcome", "/welcome"],
];

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

  it.each(SCREENS)(
    "%s has nothing axe objects to, fits, and makes no error",
    async (_name, path) => {
      await page.open(app.url + path);
      await page.find(By.css("h1"));
      expect(await page.axe()).toEqual([]);
      expect(await page.scrollsSideways()).toBe(false);
      expect(await page.consoleErrors()).toEqual([]);
    },
  );

  it("so has a run, at a caution, at the look and at its finish", async () => {
    await page.open(`${app.url}${HOME}/parts/cellar-filter`);
    await page.press("Change it");
    for (const heading of [
      "Have the new filter",
      "Switch the power off",
      "Open the slot",
      "Pull the old",
      "How does the old one look?",
    ]) {
      await page.heading(heading);
      expect(await page.axe()).toEqual([]);
      expect(await page.scrollsSideways()).toBe(false);
      if (heading.startsWith("How")) await page.tick("grey");
      await page.press(heading.startsWith("How") ? "Grey, go on" : "Done, go on");
    }
    for (const heading of [
      "Wipe",
      "Check the new",
      "Slide it in",
      "Write today",
      "Close the slot",
      "Switch the power on",
      "Hear it start",
    ]) {
      await page.heading(heading);
      await page.press("Done, go on");
    }
    await page.heading("Everything is back");
    expect(await page.axe()).toEqual([]);
    await page.press("Finish");
    await page.heading("Done");
    expect(await page.axe()).toEqual([]);
    expect(await page.scrollsSideways()).toBe(false);
    expect(await page.consoleErrors()).toEqual([]);
  });
});
