import { By } from "selenium-webdriver";
import { PHONE } from "./browser";
import { inDemo } from "./in-demo";

const HOME = "/homes/sluice-house";

/** A technician comes: planned, briefed, measured beside the machine on a phone, ended, kept. */
describe("a technician’s visit on a phone", () => {
  const { demo, text } = inDemo(PHONE);
  const named = (name: string) => demo.page.find(By.css(`[name='${name}']`));

  it("says in the brief what to bring, how to get there, and what was read before", async () => {
    await demo.page.open(`${demo.app.url}${HOME}/visits`);
    expect(await text("section[aria-labelledby=open]")).toContain("Inducer capacitor drifts");
    await demo.page.open(`${demo.app.url}${HOME}/visits/visit-next`);
    await demo.page.press("The brief");
    await demo.page.heading("brief for a visit");
    const brief = await text("main");
    expect(brief).toMatch(/Please bring[^]*Inducer capacitor, 5 µF ± 6 %/);
    expect(brief).toMatch(/4\.77 µF[^]*4\.84 µF[^]*4\.9 µF/);
    expect(brief).toContain("mind the low beam");
    expect(await demo.page.scrollsSideways()).toBe(false);
    expect(await demo.page.axe()).toEqual([]);
  });

  it("judges a reading as it is typed, beside the last one, and keeps it through a reload", async () => {
    await demo.page.open(`${demo.app.url}${HOME}/visits/visit-next`);
    await demo.page.press("The technician is here");
    await demo.page.heading("Cellar furnace");
    expect(await demo.page.axe()).toEqual([]);
    const value = await named("value capacitor-uf@cellar-furnace-capacitor");
    await value.sendKeys("4.6");
    await demo.page.seen("act");
    await demo.browser.driver.executeAsyncScript(
      "setTimeout(arguments[arguments.length - 1], 1500)",
    );
    await demo.browser.driver.executeScript("sessionStorage.clear()");
    await demo.page.reload();
    expect(
      await (await named("value capacitor-uf@cellar-furnace-capacitor")).getAttribute("value"),
    ).toBe("4.6");
  });

  it("refuses a figure that is none at its field, and loses nothing beside it", async () => {
    const rise = await named("value temperature-rise-k@");
    await rise.sendKeys("warm");
    await demo.page.press("Save, go on");
    await demo.page.seen("Write the number that was read.");
    expect(
      await (await named("value capacitor-uf@cellar-furnace-capacitor")).getAttribute("value"),
    ).toBe("4.6");
    await (await named("value temperature-rise-k@")).clear();
  });

  it("writes down what was found, with its price and what the owner decides", async () => {
    await demo.page.type("Found", "Inducer bearing dry");
    await demo.page.type("Advised", "a new one next autumn");
    await demo.page.type("For, EUR", "120");
    await demo.page.tick("watched");
    await demo.page.setDate("Watched until", "2026-03-20");
    await demo.page.press("Write it down");
    await demo.page.heading("Found so far");
    await demo.page.press("Save, go on");
    await demo.page.heading("Yard condenser");
    await demo.page.press("Save, go on");
    await demo.page.heading("How did it end?");
  });

  it("ends with what was done, and plans the next", async () => {
    await demo.page.tick("well, with something to watch");
    await demo.page.type("Minutes", "80");
    await demo.page.type("Cost, EUR", "150");
    await demo.page.setDate("Next appointment", "2026-09-21");
    await demo.page.press("End the visit");
    // Nothing counts as done that nobody ticked.
    await demo.page.seen("Tick what was done, or that nothing of it was.");
    await demo.page.tick("Nothing of this");
    await demo.page.press("End the visit");
    await demo.page.seen("Left well, with something to watch, signed by Ottoline Ferrow");
    const said = await text("main");
    expect(said).toContain("4.6 µF");
    expect(said).toContain("You decided: watched until Fri 20 Mar.");
    expect(await demo.page.axe()).toEqual([]);
    const link = await demo.page.find(By.xpath('//a[.="The report, to keep"]'));
    const report = await fetch((await link.getAttribute("href")) ?? "");
    expect(report.headers.get("content-type")).toBe("application/pdf");
    await demo.page.open(`${demo.app.url}${HOME}/visits`);
    expect(await text("main")).toContain("Mon 21 Sep");
  });

  it("brings what was put off back on Today, until it was put right", async () => {
    await demo.page.open(`${demo.app.url}${HOME}`);
    await demo.page.follow("inducer bearing dry; put off until 20 Mar");
    await demo.page.press("It was put right");
    await demo.page.seen("Put right 14 Mar.");
    await demo.page.open(`${demo.app.url}${HOME}`);
    expect(await text("main")).not.toContain("inducer bearing dry");
  });

  it("enters one of last spring from its paper", async () => {
    await demo.page.open(`${demo.app.url}${HOME}/visits`);
    await demo.page.press("Enter one from its paper");
    await demo.page.heading("A visit from its paper");
    await demo.page.setDate("It was on", "2025-05-02");
    await demo.page.tick("Yard condenser");
    await demo.page.press("On to its readings");
    await demo.page.heading("Yard condenser");
    await (await named("value cooling-split-k@")).sendKeys("9.9");
    await demo.page.press("Save, go on");
    await demo.page.heading("How did it end?");
    await demo.page.tick("all well");
    await demo.page.tick("Nothing of this");
    await demo.page.press("End the visit");
    await demo.page.heading("Fri 2 May 2025");
    expect(await text("main")).toContain("9.9 °C");
  });
});
