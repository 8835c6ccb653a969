import { By } from "selenium-webdriver";
import { startApp, type AppServer } from "./app-server";
import { openBrowser, PHONE, type Browser } from "./browser";
import { pageOf, type Page } from "./page";

const HOME = "/homes/sluice-house";

/** A technician comes: planned, briefed, measured beside the machine on a phone, ended, kept. */
describe("a technician’s visit on a phone", () => {
  let app: AppServer;
  let browser: Browser;
  let page: Page;

  beforeAll(async () => {
    app = await startApp("demo");
    browser = await openBrowser(PHONE);
    page = pageOf(browser.driver);
  });
  afterAll(async () => {
    await browser?.quit();
    await app?.stop();
  });
  const text = async (css: string) => (await page.find(By.css(css))).getText();
  const named = (name: string) => page.find(By.css(`[name='${name}']`));

  it("says in the brief what to bring, how to get there, and what was read before", async () => {
    await page.open(`${app.url}${HOME}/visits`);
    expect(await text("section[aria-labelledby=open]")).toContain("Inducer capacitor drifts");
    await page.open(`${app.url}${HOME}/visits/visit-next`);
    await page.press("The brief");
    await page.heading("brief for a visit");
    const brief = await text("main");
    expect(brief).toMatch(/Please bring[^]*Inducer capacitor, 5 µF ± 6 %/);
    expect(brief).toMatch(/4\.77 µF[^]*4\.84 µF[^]*4\.9 µF/);
    expect(brief).toContain("mind the low beam");
    expect(await page.scrollsSideways()).toBe(false);
    expect(await page.axe()).toEqual([]);
  });

  it("judges a reading as it is typed, beside the last one, and keeps it through a reload", async () => {
    await page.open(`${app.url}${HOME}/visits/visit-next`);
    await page.press("The technician is here");
    await page.heading("Cellar furnace");
    expect(await page.axe()).toEqual([]);
    const value = await named("value capacitor-uf@cellar-furnace-capacitor");
    await value.sendKeys("4.6");
    await page.seen("act");
    await browser.driver.executeAsyncScript("setTimeout(arguments[arguments.length - 1], 1500)");
    await browser.driver.executeScript("sessionStorage.clear()");
    await page.reload();
    expect(
      await (await named("value capacitor-uf@cellar-furnace-capacitor")).getAttribute("value"),
    ).toBe("4.6");
  });

  it("refuses a figure that is none at its field, and loses nothing beside it", async () => {
    const rise = await named("value temperature-rise-k@");
    await rise.sendKeys("warm");
    await page.press("Save, go on");
    await page.seen("Write the number that was read.");
    expect(
      await (await named("value capacitor-uf@cellar-furnace-capacitor")).getAttribute("value"),
    ).toBe("4.6");
    await (await named("value temperature-rise-k@")).clear();
  });

  it("writes down what was found, with its price and what the owner decides", async () => {
    await page.type("Found", "Inducer bearing dry");
    await page.type("Advised", "a new one next autumn");
    await page.type("For, EUR", "120");
    await page.tick("watched");
    await page.setDate("Watched until", "2026-03-20");
    await page.press("Write it down");
    await page.heading("Found so far");
    await page.press("Save, go on");
    await page.heading("Yard condenser");
    await page.press("Save, go on");
    await page.heading("How did it end?");
  });

  it("ends with what was done, and plans the next", async () => {
    await page.tick("well, with something to watch");
    await page.type("Minutes", "80");
    await page.type("Cost, EUR", "150");
    await page.setDate("Next appointment", "2026-09-21");
    await page.press("End the visit");
    await page.seen("Left well, with something to watch, signed by Ottoline Ferrow");
    const said = await text("main");
    expect(said).toContain("4.6 µF");
    expect(said).toContain("You decided: watched until Fri 20 Mar.");
    expect(await page.axe()).toEqual([]);
    const report = await fetch(
      (await (await page.find(By.linkText("The report, to keep"))).getAttribute("href")) ?? "",
    );
    expect(report.headers.get("content-type")).toBe("application/pdf");
    await page.open(`${app.url}${HOME}/visits`);
    expect(await text("main")).toContain("Mon 21 Sep");
  });

  it("brings what was put off back on Today, until it was put right", async () => {
    await page.open(`${app.url}${HOME}`);
    await page.follow("inducer bearing dry; put off until 20 Mar");
    await page.press("It was put right");
    await page.seen("Put right 14 Mar.");
    await page.open(`${app.url}${HOME}`);
    expect(await text("main")).not.toContain("inducer bearing dry");
  });

  it("enters one of last spring from its paper", async () => {
    await page.open(`${app.url}${HOME}/visits`);
    await page.press("Enter one from its paper");
    await page.heading("A visit from its paper");
    await page.setDate("It was on", "2025-05-02");
    await page.tick("Yard condenser");
    await page.press("On to its readings");
    await page.heading("Yard condenser");
    await (await named("value cooling-split-k@")).sendKeys("9.9");
    await page.press("Save, go on");
    await page.heading("How did it end?");
    await page.tick("all well");
    await page.press("End the visit");
    await page.heading("Fri 2 May 2025");
    expect(await text("main")).toContain("9.9 °C");
  });
});
