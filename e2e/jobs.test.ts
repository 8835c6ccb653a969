import { By, Key } from "selenium-webdriver";
import { startApp, type AppServer } from "./app-server";
import { DESK, openBrowser, type Browser } from "./browser";
import { pageOf, type Page } from "./page";

const HOME = "/homes/sluice-house";

describe("when it is due, whether it is fine", () => {
  let app: AppServer;
  let browser: Browser;
  let page: Page;

  beforeAll(async () => {
    app = await startApp("demo");
    browser = await openBrowser(DESK);
    page = pageOf(browser.driver);
  });
  afterAll(async () => {
    await browser?.quit();
    await app?.stop();
  });
  const text = async (selector: string) => (await page.find(By.css(selector))).getText();
  /** Waits until a place says something: previews and the worker answer when they can. */
  const slide = async (label: string, value: number) => {
    const slider = await page.find(By.xpath(`//label[contains(., "${label}")]/input`));
    await browser.driver.executeScript(
      `const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set;
       set.call(arguments[0], arguments[1]);
       arguments[0].dispatchEvent(new Event("input", { bubbles: true }));`,
      slider,
      String(value),
    );
  };

  it("leads on Today with what is past its time, and moves on once that is done", async () => {
    await page.open(app.url + HOME);
    await page.heading("three jobs are past their time");
    expect(await text("section[aria-labelledby=next]")).toContain("5 to 7 years after it was made");
    await page.press("Note it done");
    await page.heading("Replace the alarm");
    await page.type("Minutes it took", "ten");
    await page.press("Save it");
    expect(await page.problemAt("Minutes it took")).toBe("Whole minutes, 0 to 6000.");
    await page.type("Minutes it took", "10");
    await page.press("Save it");
    await page.heading("Hall alarm");
    await page.open(app.url + HOME);
    await page.heading("Scullery dryer vent: brush out the dryer’s duct");
  });

  it("changes how a job comes round, shows the dates before, and goes back to the default", async () => {
    await page.open(`${app.url}${HOME}/parts/dryer-dryer-duct`);
    await page.follow("every year");
    await page.heading("Brush out the dryer’s duct");
    await page.choose("How it comes round", "every so often");
    await page.type("Every", "18");
    await page.choose("Counted in", "months");
    await page.says("form [role=status]", /due in about 4 months.*6 months later than now/);
    await page.press("Save");
    await page.heading("Dryer duct");
    await page.seen("every 18 months");
    await page.follow("every 18 months");
    await page.press("Back to default");
    await page.heading("Dryer duct");
    await page.seen("every year");
  });

  it("draws a long list by and by, and goes on where the rest begins", async () => {
    await page.open(`${app.url}${HOME}/jobs`);
    const rows = () =>
      browser.driver.findElements(By.css("[aria-label='Jobs at its machines'] tbody tr"));
    expect(await rows()).toHaveLength(40);
    const more = await page.find(By.xpath("//button[starts-with(., 'Show the other')]"));
    const rest = Number((await more.getText()).replace(/\D/g, ""));
    // Searching finds among all of them.
    const find = await page.find(By.css("[aria-label$='Jobs at its machines'][type=search]"));
    await find.sendKeys("gallery");
    await browser.driver.wait(async () => (await rows()).length < 30, 15_000);
    await browser.driver.executeScript("arguments[0].select()", find);
    await find.sendKeys(Key.DELETE);
    await page.press(`Show the other ${rest}`);
    await browser.driver.wait(async () => (await rows()).length === 40 + rest, 15_000);
    await browser.driver.wait(
      () =>
        browser.driver.executeScript<boolean>(
          "return document.activeElement.closest('tr')?.rowIndex === 41",
        ),
      15_000,
    );
  });

  it("sets the three strategies of a filter side by side, and goes by another", async () => {
    await page.open(`${app.url}${HOME}/parts/cellar-filter`);
    expect(await text("section[aria-labelledby=schools] ul")).toMatch(
      /^By wear governs\nMon 16 Mar\n.*\nLook first\nlook by Sun 22 Mar\n[^]*By the calendar\nMon 6 Apr\n/,
    );
    await page.press("Choose another strategy");
    await page.tick("By the calendar");
    await page.says("section[aria-labelledby=schools] [role=status]", /3 weeks later than now/);
    await page.press("Go by this");
    await page.says("section[aria-labelledby=schools] ul", /By the calendar governs\nMon 6 Apr/);
    await page.press("Choose another strategy");
    await page.tick("By wear");
    await page.press("Go by this");
    await page.says("section[aria-labelledby=schools] ul", /^By wear governs/);
  });

  it("tries another winter, filter and animal on the curve, in a worker", async () => {
    const answer = "details [role=status]";
    await page.open(`${app.url}${HOME}/parts/kiln-filter`);
    await page.press("What if …");
    await slide("Shedding animals", 4);
    await page.says(answer, /A new one, fitted today, would last \d+ days/);
    await slide("From today on", -6);
    await page.says(answer, /sooner/);
    await page.choose("Filter", "Pleated, 100 mm (4 in)");
    await page.says(answer, /^Put in today it would be due/);
    await page.press("As it is");
    await page.says(answer, /^Move something/);
    expect(await page.consoleErrors()).toEqual([]);
  });

  it("says of each step of a due day what it is, and leads to where it is changed", async () => {
    await page.open(`${app.url}${HOME}/parts/kiln-filter`);
    const stairs = await page.find(By.css("section[aria-labelledby=stairs]"));
    const step = await stairs.findElement(By.xpath(".//summary[contains(., 'clay dust')]"));
    await page.scrollTo(step);
    await step.click();
    await page.seen("A dusty hobby or workshop, all year round.");
    const change = await stairs.findElement(
      By.xpath(".//li[.//summary[contains(., 'clay dust')]]//a[. = 'Change it']"),
    );
    await page.scrollTo(change);
    await change.click();
    await page.heading("People and surroundings");
    expect(await browser.driver.getCurrentUrl()).toContain("household?change=clay");
  });

  it("notes at one press that a light came on: its filter is due", async () => {
    await page.open(`${app.url}${HOME}/units/workshop-heater`);
    await page.press("The light came on");
    await page.heading("Dust filters");
    await page.says("section[aria-labelledby=slot]", /Its light came on Sat 14 Mar/);
    expect(await text("section[aria-labelledby=slot]")).toMatch(/: (today|now)/);
  });

  it("learns from looks, says so, and forgets when told", async () => {
    const strategies = "section[aria-labelledby=schools]";
    await page.open(`${app.url}${HOME}/parts/mesh-left`);
    expect(await text(strategies)).toMatch(/This slot loads about [12]\.\d+ times as fast/);
    await page.press("Forget what its looks taught");
    await page.says(strategies, /about as fast as usual/);
    await page.seen("What its looks taught was forgotten");
    const row = await page.find(
      By.xpath("//tr[contains(., 'What its looks taught was forgotten')]//button"),
    );
    await browser.driver.executeScript("arguments[0].click()", row);
    await page.says(strategies, /This slot loads about [12]\.\d+ times as fast/);
  });

  it("takes a look by pressure only where it knows the clean drop", async () => {
    await page.open(`${app.url}${HOME}/look?slot=kiln-filter`);
    await page.type("Or the drop across it, Pa", "90");
    await page.press("Save the look");
    expect(await page.problemAt("Or the drop across it, Pa")).toBe(
      "What it drops when clean is not written down for this filter yet.",
    );
    await page.type("Or the drop across it, Pa", "");
    await page.press("Save the look");
    await page.seen("Choose the picture that comes nearest, or write the drop.");
  });

  it("judges a reading while it is typed, and one that is bad brings its job", async () => {
    await page.open(`${app.url}${HOME}/parts/cellar-furnace-capacitor`);
    expect(await text("section[aria-labelledby=readings]")).toMatch(
      /Capacitor: 4\.77 µF[^]*Falls by about 0\.12\d? µF a year; reaches its limit of 4\.7 µF/,
    );
    await page.press("Note a reading");
    await page.seen("Capacitors hold their charge");
    await page.type("Read", "600");
    await page.press("Save the reading");
    expect(await page.problemAt("Read")).toBe("600 is out of range: between 0 and 500.");
    await page.type("Read", "4.6");
    await page.says(
      "form [role=status]",
      /^act: have it replaced; the limit is 4\.7 µF\.$|act: have it/,
    );
    await page.press("Save the reading");
    await page.heading("Inducer capacitor");
    await page.seen("Have the capacitor replaced");
    expect(await text("#jobs")).toMatch(/Have the capacitor replaced\n[^]*today/);
    await page.open(app.url + HOME);
    expect(await text("section[aria-labelledby=watch]")).toContain(
      "Cellar furnace, capacitor: 4.6 µF; have it replaced.",
    );
  });

  it("logs a breakdown, and says how things stood that day", async () => {
    await page.open(`${app.url}${HOME}/units/kiln-furnace`);
    await page.press("It broke down");
    await page.heading("Kiln-shed furnace stopped");
    await page.type("What happened", "Cold shed this morning, the limit had tripped.");
    await page.type("Code on its display", "33");
    await page.press("Save the breakdown");
    await page.heading("Kiln-shed furnace");
    expect(await text("section[aria-labelledby=history] tbody")).toMatch(
      /Sat 14 Mar\sBroke down, Cold shed this morning, the limit had tripped\., code 33/,
    );
  });

  it("checks the months as they are typed, and says what seasons they make", async () => {
    await page.open(`${app.url}${HOME}/edit`);
    await page.seen("Heating from 23 Sep to 25 May, cooling from 19 Jun to 31 Aug and snow");
    await page.type("Mean of each month", "-9 -7 -1 7 13 18 21 20 15 8 1");
    await page.seen("That is 11 figures; a year has twelve months, January first.");
    await page.type("Mean of each month", "27 27 27 27 27 27 27 27 27 27 27 27");
    await page.seen("No season here turns by these figures.");
  });

  it("puts dates off while the house stands empty, and shows by how much before", async () => {
    await page.open(`${app.url}${HOME}/household`);
    await page.choose("What", "House left alone");
    await page.setDate("From", "2026-03-10");
    await page.setDate("To", "2026-05-10");
    await page.type("Machines then run", "30");
    await page.says("form [role=status]", /Saved, it would move[^]* later/);
    await page.press("Add it");
    await page.find(By.css("[aria-label='Remove: House left alone']"));
    await page.open(`${app.url}${HOME}/parts/cellar-filter`);
    expect(await text("section[aria-labelledby=slot]")).toMatch(/put off by nobody at home/);
  });
});
