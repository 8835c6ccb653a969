import { By, Key } from "selenium-webdriver";
import { startApp, type AppServer } from "./app-server";
import { openBrowser, type Browser } from "./browser";
import { doing } from "./doing";
import { pageOf, type Page } from "./page";

const HOME = "/homes/sluice-house";

/** What happens between the errands: things left open, entries made late, two windows, second thoughts. */
describe("day to day", () => {
  let app: AppServer;
  let browser: Browser;
  let page: Page;

  beforeAll(async () => {
    app = await startApp("demo");
    browser = await openBrowser();
    page = pageOf(browser.driver);
  });
  afterAll(async () => {
    await browser?.quit();
    await app?.stop();
  });
  const run = () => doing(browser, page);
  const text = (css: string) => run().text(css);
  const change = async () => {
    await page.press("Change it");
    await run().start("Change: start");
  };

  it("holds the drying core until it is dry, as one thing left open with all that goes with it", async () => {
    await page.open(app.url + HOME);
    await page.heading("One thing is left open");
    const drying = await text("li[data-end=part-drying]");
    expect(drying).toContain("Loft ventilator: core drying, 22 h left");
    expect(drying).toContain("Windows open, ventilator off, filters out, cover off, core out");
    await page.press("Carry on");
    await page.heading("Is the core dry?");
    await page.press("Not before it is dry");
    await page.heading("Is the core dry?");
    await page.seen("You can leave now.");
  });

  it("carries what stays open past the run onto every page, with its words", async () => {
    await page.open(`${app.url}${HOME}/parts/gallery-bank`);
    await page.press("Change it");
    // Nobody called that roof safely reached.
    await page.tick("A licensed person, here now");
    await run().start("Change: start");
    await run().filterOut();
    await run().at("Count what came out");
    await page.type("Filters that came out", "4");
    await page.press("Done, go on");
    await run().see("How does the old one look?", "grey");
    await run().see("Did dust get past its frame?", "No, its edges are clean");
    await run().through("What lies in the slot?", "Wipe the slot clean");
    await run().through("Measure the slot, for next time");
    await run().leaveOpen("Slide it in", "the four new ones are too deep");
    // Nothing went in: there is nothing to count, and no frame to write on.
    await run().through("Close the slot");
    await run().leaveOpen("Switch the power on", "no filter in it");
    await page.heading("Something stays open");
    await page.seen("“the four new ones are too deep”");
    await run().finish();
    await page.seen("Still open: power off");

    await page.open(app.url + HOME);
    await page.heading("Three things are left open");
    await page.seen("“the four new ones are too deep”");
    // The strip stands there whichever way a page is come to.
    await page.press("House");
    await page.seen("Left open:");
    await browser.driver.navigate().back();
    await page.heading("Three things are left open");
    await browser.driver.navigate().forward();
    await page.heading("The house");
    await page.seen("Left open:");
    await page.open(`${app.url}${HOME}/units/gallery`);
    await page.seen("Left open: power off, filter out");
    // What was not fitted is not in the history.
    expect(await text("section[aria-labelledby=history] tbody")).not.toMatch(
      /Sat 14 Mar\sNew filter fitted/,
    );
  });

  it("closes them in their order: first the filter, then the power", async () => {
    await page.open(app.url + HOME);
    expect(await text("li[data-end=disconnect-out]")).toContain("First what is open in it");
    await page.press("Put it back: done");
    await browser.driver.wait(
      async () => (await browser.driver.findElements(By.css("li[data-end=part-out]"))).length === 0,
      15_000,
    );
    await page.press("Connect it again: done");
    await page.heading("One thing is left open");
  });

  it("lets two windows do one run: the second sees what the first has done", async () => {
    await page.open(`${app.url}${HOME}/parts/kiln-filter`);
    await change();
    await page.heading("Have the new filter");
    const address = await browser.driver.getCurrentUrl();
    const first = await browser.driver.getWindowHandle();
    await browser.driver.switchTo().newWindow("tab");
    await page.open(address);
    await run().through("Have the new filter", "Compare the printed sizes");
    await run().through("Switch the power off");
    await page.heading("Open the slot");
    await browser.driver.switchTo().window(first);
    // Coming to the front it looks what happened meanwhile.
    await page.heading("Open the slot");
    expect(await run().openCount()).toBe("1");
    await page.keys(Key.BACK_SPACE);
    await page.heading("Switch the power off");
    // Gone back over it, the switch is off all the same: the way out leads past it.
    expect(await run().openCount()).toBe("1");
    await page.press("Not possible now");
    await page.press("Lead me back");
    await run().through("Switch the power on");
    await page.press("Put it off");
    await page.heading("Put off, nothing counts as done");
  });

  it("starts no second run where one is going, and the back button leaves it be", async () => {
    await page.open(`${app.url}${HOME}/parts/kiln-filter`);
    await change();
    await page.heading("Have the new filter");
    const address = await browser.driver.getCurrentUrl();
    await browser.driver.navigate().back();
    await page.heading("Filter 16×25×1");
    await page.open(`${app.url}${HOME}/parts/kiln-filter`);
    await page.press("Carry on");
    await page.heading("Have the new filter");
    expect(await browser.driver.getCurrentUrl()).toBe(address);
  });

  it("hands over from any page what the page of a run had no time to hand over", async () => {
    await run().through("Have the new filter", "Compare the printed sizes");
    await run().at("Switch the power off");
    // The network is gone for this page, and no page leaves word behind but in the device's own store.
    await browser.driver.executeScript("window.fetch = () => new Promise(() => {})");
    await browser.driver.actions().sendKeys(Key.SPACE).perform();
    await page.heading("Open the slot");
    await page.open(app.url + HOME);
    expect(await text("li[data-end=switch-off]")).toContain("Kiln-shed furnace: power off");
    await page.open(`${app.url}${HOME}/parts/kiln-filter`);
    await page.press("Carry on");
    await page.heading("Open the slot");
    await page.press("Not possible now");
    await page.press("Lead me back");
    await run().through("Switch the power on");
    await page.press("Put it off");
    await page.heading("Put off, nothing counts as done");
  });

  it("notes a wash that was done without it, and the mesh starts anew", async () => {
    await page.open(`${app.url}${HOME}/units/studio-pump?slot=mesh-left`);
    await page.heading("Left mesh");
    await page.press("Note it done");
    await page.setDate("When was it done?", "2026-03-12");
    await page.tick("loaded");
    await page.type("A note", "in the kitchen sink");
    await page.press("Save the change");
    await page.heading("Left mesh");
    const history = await text("section[aria-labelledby=history] tbody");
    expect(history).toMatch(/Thu 12 Mar\sCleaned and put back, in the kitchen sink/);
    expect(history).toContain("Looked at: loaded");
    expect(await text("section[aria-labelledby=schools]")).toMatch(
      /This slot loads about [12]\.\d+ times as fast as usual, sure within/,
    );
  });

  it("moves the due day when the household changes, and back with it", async () => {
    const dueOf = async () => {
      await page.open(`${app.url}${HOME}/parts/gallery-bank`);
      return /Most likely (.+?),/.exec(await text("section[aria-labelledby=slot]"))![1];
    };
    const before = await dueOf();
    await page.open(`${app.url}${HOME}/household`);
    await page.choose("What", "Smoking indoors");
    await page.press("Add it");
    await page.find(By.xpath("//ul//strong[.='Smoking indoors']"));
    expect(await dueOf()).not.toBe(before);
    await page.open(`${app.url}${HOME}/household`);
    await page.press("Remove: Smoking indoors");
    await page.seen("Removed: Smoking indoors");
    expect(await dueOf()).toBe(before);
  });

  it("keeps removed slots where they can be brought back with all that was recorded", async () => {
    await page.open(`${app.url}${HOME}/parts/purifier-hepa/edit`);
    await page.press("Remove HEPA cylinder");
    await page.heading("Reading-room purifier");
    await page.open(`${app.url}${HOME}/removed`);
    await page.seen("Reading-room purifier, HEPA cylinder");
    expect(await text("main tbody")).toMatch(/Smoking indoors\speople and surroundings/);
    await page.press("Bring back");
    await browser.driver.wait(async () => !(await text("main")).includes("HEPA cylinder"), 15_000);
    await page.open(`${app.url}${HOME}/parts/purifier-hepa`);
    expect(await text("section[aria-labelledby=history] tbody")).toContain("New filter fitted");
  });

  it("takes a day as the home writes it, picked or typed, by keys alone", async () => {
    await page.open(`${app.url}${HOME}/units/purifier/note`);
    await page.type("Note", "the lamp flickers");
    const day = await page.field("When");
    const written = () => day.getAttribute("value");
    expect(await written()).toBe("14.03.2026");
    await (await page.find(By.css("[aria-label='When: pick a day']"))).sendKeys(Key.ENTER);
    await page.find(By.css("[role=grid] [tabindex='0']"));
    await page.keys(Key.ARROW_LEFT, Key.ARROW_UP, Key.ENTER);
    await browser.driver.wait(async () => (await written()) === "06.03.2026", 15_000);
    await day.sendKeys(Key.chord(Key.CONTROL, "a"), "31.2.2026");
    await page.press("Save the note");
    expect(await page.problemAt("When")).toContain("That is not a day");
    expect(await written()).toBe("31.2.2026");
    await day.sendKeys(Key.chord(Key.CONTROL, "a"), "5.3.2026");
    await page.press("Save the note");
    await page.says("section[aria-labelledby=history] tbody", /^Thu 5 Mar\sthe lamp flickers/);
  });

  it("sorts and searches a list, and the address keeps both", async () => {
    const shown = async () =>
      Promise.all(
        (await browser.driver.findElements(By.css("section[aria-labelledby=parts] tbody tr"))).map(
          async (row) => (await row.findElement(By.css("a"))).getText(),
        ),
      );
    await page.open(`${app.url}${HOME}/units/cellar-furnace`);
    expect((await shown())[0]).toBe("Blower");
    await page.press("Due");
    await browser.driver.wait(async () => (await shown())[0] === "Condensate trap", 15_000);
    await (
      await page.find(By.css("[aria-label='Only those that say, of: Its other parts']"))
    ).sendKeys("condensate");
    await browser.driver.wait(async () => (await shown()).length === 2, 15_000);
    expect(await shown()).toEqual(["Condensate trap", "Condensate line"]);
    await page.reload();
    await browser.driver.wait(async () => (await shown())[1] === "Condensate line", 15_000);
    expect(await shown()).toEqual(["Condensate trap", "Condensate line"]);
    expect(await browser.driver.getCurrentUrl()).toMatch(/parts-sort=due&parts-find=condensate/);
  });

  it("turns dark when told so, and stays dark", async () => {
    await page.open(app.url + HOME);
    // A menu pressed before the page listens stays shut: it is pressed until it opens.
    const dark = By.xpath("//*[@role='menuitemradio'][contains(., 'Dark')]");
    await browser.driver.wait(async () => {
      if ((await browser.driver.findElements(dark)).length > 0) return true;
      await page.press("Sluice House");
      return false;
    }, 15_000);
    await (await page.find(dark)).click();
    const background = () =>
      browser.driver.executeScript<string>(
        "return getComputedStyle(document.documentElement).backgroundColor",
      );
    await browser.driver.wait(async () => (await background()) === "rgb(19, 25, 27)", 15_000);
    await page.reload();
    expect(await background()).toBe("rgb(19, 25, 27)");
  });

  it("changes what is written at a slot, and the unit's shut-offs with it", async () => {
    await page.open(`${app.url}${HOME}/units/kiln-furnace/edit`);
    expect(
      await browser.driver.findElement(By.id("shutOffPlace-1")).getAttribute("value"),
    ).toContain("meter end");
    await page.type("Name", "Kiln stove");
    await page.press("Add another shut-off");
    await browser.driver.findElement(By.id("shutOffPlace-2")).sendKeys("number 12, stable board");
    await page.press("Save");
    await page.seen("Breaker: number 12, stable board, off");
    await page.follow("Filter 16×25×1");
    // The way back names it as it is called now.
    expect(await text("nav[aria-label='Where this is']")).toContain("Kiln stove");
    await page.press("Change what is written here");
    await page.type("Rating", "G4");
    await page.press("Save the slot");
    await page.heading("Filter 16×25×1, G4");
  });

  it("made no error in the console", async () => {
    expect(await page.consoleErrors()).toEqual([]);
  });
});
