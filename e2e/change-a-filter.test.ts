import { By, Key } from "selenium-webdriver";
import { startApp, type AppServer } from "./app-server";
import { openBrowser, PHONE, type Browser } from "./browser";
import { doing } from "./doing";
import { pageOf, type Page } from "./page";

/** The first errand: from the beam to the logbook, on a phone, with everything that may go wrong. */
describe("changing the cellar furnace's filter", () => {
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

  const openCount = () => doing(browser, page).openCount();
  const go = (heading: string) => doing(browser, page).through(heading);

  const CLOSER = "section[aria-labelledby=closer]";

  it("says on Today that it is nearly due, between which days, and why", async () => {
    await page.open(app.url);
    await page.heading("are due this week");
    const closer = await (await page.find(By.css(CLOSER))).getText();
    expect(closer).toMatch(
      /Cellar furnace, filter 20×20×1, MERV 8\n.*sooner than usual: .*clay dust.*\n(tomorrow|in \d days)\n\d+.* to \d+ /,
    );
    await page.follow("Cellar furnace, filter 20×20×1, MERV 8");
    await page.heading("Filter 20×20×1, MERV 8: in");
    // On a phone it stands behind one press.
    await page.press("How to shut it off");
    await page.seen("with the amber tag, left of the door");
    await page.press("Close");
  });

  it("leads down: power off, slot open, filter out, each an open bracket", async () => {
    await page.press("Change it");
    await page.heading("Change the filter");
    await page.seen("10 minutes at work");
    // What has to be so is ticked first, or said at its field.
    await page.press("Change: start");
    await page.seen("Tick it once it is so, or say below what is in the way.");
    await doing(browser, page).start("Change: start");
    await page.heading("Have the new filter beside you");
    expect(await openCount()).toBe("0");
    await page.press("Done, go on");
    await go("Compare the printed sizes");
    await page.heading("Switch the power off");
    await page.press("Done, go on");
    await go("Open the slot");
    await go("Pull the old filter out");
    await page.heading("How does the old one look?");
    expect(await openCount()).toBe("3");
  });

  it("comes back to the same step after a reload, and after the server was killed", async () => {
    await page.reload();
    await page.heading("How does the old one look?");
    await app.kill();
    await page.tick("loaded");
    await page.press("Loaded, go on");
    await page.seen("Not saved yet");
    await page.heading("Did dust get past its frame?");
    await app.start();
    await browser.driver.wait(
      async () => (await browser.driver.findElements(By.css("[role=alert]"))).length === 0,
      15_000,
    );
    await page.reload();
    await doing(browser, page).see("Did dust get past its frame?", "No, its edges are clean");
    await page.heading("What lies in the slot?");
    await page.tick("pale grit");
    await page.seen("Building dust fills filters");
    await page.press("Pale grit, go on");
    await page.heading("Wipe the slot clean");
  });

  it("never shows a step that is past when one goes back and forward", async () => {
    const { driver } = browser;
    await driver.executeScript(`
      window.headings = new Set();
      new MutationObserver(() => {
        for (const each of document.querySelectorAll("h1, h2")) window.headings.add(each.innerText);
      }).observe(document.body, { subtree: true, childList: true, characterData: true });
    `);
    for (let time = 0; time < 2; time++) {
      if (time === 0) await page.press("Leave for now");
      else await driver.navigate().forward();
      await page.seen("Cellar furnace: filter out");
      await driver.navigate().back();
      await page.heading("Wipe the slot clean");
    }
    const shown = await driver.executeScript<string[]>("return [...window.headings]");
    expect(shown).toContain("Wipe the slot clean");
    expect(shown).not.toContain("Did dust get past its frame?");
    expect(shown).not.toContain("What lies in the slot?");
  });

  it("shows the bracket on Today and on the unit while the run is left alone", async () => {
    const run = await browser.driver.getCurrentUrl();
    await page.press("Leave for now");
    await page.seen("Cellar furnace: filter out");
    await page.seen("Cover off, power off");
    await page.open(`${app.url}/homes/sluice-house/units/cellar-furnace`);
    await page.seen("Left open: power off, cover off, filter out");
    await page.open(run);
  });

  it("does not switch on while the filter is out, and can't be finished then", async () => {
    await go("Wipe the slot clean");
    await page.heading("Slide it in");
    await page.keys("o");
    await page.seen("filter stays out: why?".replace("f", "F"));
    await page.press("Leave it so");
    await page.seen("Say in a few words why it stays open.");
    await page.type("In your words", "the new one is the wrong size");
    await page.press("Leave it so");
    await go("Close the slot");
    await page.heading("Switch the power on");
    await page.seen("Not yet: filter out");
    await page.press("Something comes first");
    await page.heading("Switch the power on");
    // Back past the closed slot to the filter: it goes in after all.
    for (const step of ["Switch the power on", "Close the slot"]) {
      await page.heading(step);
      await page.keys(Key.BACK_SPACE);
    }
    await go("Slide it in");
    await go("Write today’s date");
    await go("Close the slot");
    await page.heading("Switch the power on");
    expect(await openCount()).toBe("1");
    // While the switch is off there is no finish to press.
    expect(await browser.driver.findElements(By.xpath("//button[.='Finish']"))).toHaveLength(0);
    await go("Switch the power on");
    await go("Call for air, and hear it start");
    await go("Set the thermostat back");
    await page.heading("Everything is back as it was");
    expect(await openCount()).toBe("0");
  });

  it("finishes with the new due day, its band and its reason, and a label to print", async () => {
    await page.type("Minutes at work", "twelve");
    await page.press("Finish");
    await page.seen("Whole minutes, 0 to 6000.");
    await page.type("Minutes at work", "12");
    await doing(browser, page).finish();
    expect(await doing(browser, page).text("main dl")).toMatch(
      /What lies in the ducts\npale grit, to watch[^]*Used\nthe new filter, a bag for the old one[^]*Took\n12 minutes at work/,
    );
    const due = await (await page.find(By.css("[aria-label='Next due']"))).getText();
    expect(due).toMatch(/Next due in (about )?\d+ (days|weeks|months)/);
    expect(due).toMatch(/Between \d+ .* and \d+ /);
    expect(due).toMatch(/(sooner|later) than usual|As usual/);
    await page.press("Label for the frame");
    const label = await (await page.find(By.css("article[aria-label=Label]"))).getText();
    expect(label).toContain("20×20×1");
    expect(label).toContain("Saturday 14 March 2026");
    expect(label).toMatch(/(sooner|later) than usual|As usual/);
    expect(label).toMatch(/Next due\nabout \w+day \d+ \w+ 2026/);
    expect(label).toContain("to the right, toward the blower");
  });

  it("has the change and the look in the history, and Today has moved on", async () => {
    await page.open(`${app.url}/homes/sluice-house/parts/cellar-filter`);
    const history = await (
      await page.find(By.css("section[aria-labelledby=history] tbody"))
    ).getText();
    expect(history).toMatch(/^Sat 14 Mar\sNew filter fitted/);
    expect(history).toContain("Looked at: loaded");
    await page.open(app.url);
    await page.heading("are due this week");
    expect(await (await page.find(By.css(CLOSER))).getText()).not.toMatch(
      /Cellar furnace, filter 20×20×1.*\n.*\nin \d days/,
    );
  });

  it("takes an entry out, and back again within ten seconds", async () => {
    await page.open(`${app.url}/homes/sluice-house/parts/cellar-filter`);
    await page.press("Take out: New filter fitted, Sat 14 Mar");
    await page.press("Undo");
    await browser.driver.wait(async () => {
      const text = await (
        await page.find(By.css("section[aria-labelledby=history] tbody"))
      ).getText();
      return /^Sat 14 Mar\sNew filter fitted/.test(text);
    }, 15_000);
  });

  it("made no error in the console, but for the requests while the server was dead", async () => {
    const errors = (await page.consoleErrors()).filter((error) => !error.includes("net::ERR_"));
    expect(errors).toEqual([]);
  });
});
