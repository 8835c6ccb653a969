import { By, Key } from "selenium-webdriver";
import { startApp, type AppServer } from "./app-server";
import { openBrowser, PHONE, type Browser } from "./browser";
import { endEntering } from "./entering";
import { pageOf, type Page } from "./page";

const HOME = "/homes/sluice-house";

/** The register: entering machines, two homes, finding things, what is known of the household. */
describe("the register", () => {
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
  const text = async (css: string) => (await page.find(By.css(css))).getText();
  const enter = async (home: string, kind: string) => {
    await page.open(`${app.url}${home}/units/new`);
    await page.tick(kind);
    await page.press("Go on");
    await page.heading("What is on its plate?");
  };
  const find = async (words: string) => {
    await browser.driver.executeScript("document.activeElement.blur()");
    await page.keys("/");
    await (await page.find(By.css("[cmdk-input]"))).sendKeys(words);
  };

  it("takes a ventilator: two filters of its own kinds, and the core among its parts", async () => {
    await enter(HOME, "Ventilator with heat recovery");
    await page.type("Name", "Gable ventilator");
    await page.press("Next");
    await page.heading("Where does it stand?");
    await page.tick("Loft");
    await page.press("Next");
    await page.heading("How is it shut off?");
    await page.type("Where", "in the gable");
    await page.press("Next");
    await page.heading("Where does its filter sit?");
    const sizes = await browser.driver.findElements(By.css("input[name^=nominal-]"));
    expect(sizes).toHaveLength(2);
    for (const size of sizes) await size.sendKeys("420x180x25 mm");
    await page.press("Next");
    await page.heading("Which parts does it have?");
    await endEntering(page);
    await page.seen("Extract filter 420×180×25 mm: nobody has said yet.");
    await page.press("Open its page");
    await page.heading("Gable ventilator");
    const parts = await text("section[aria-labelledby=parts]");
    expect(parts).toContain("Extract filter 420×180×25 mm");
    expect(parts).toContain("Supply filter 420×180×25 mm");
    expect(parts).toContain("Recovery core");
    expect(parts).toContain("No change recorded yet.");
  });

  it("takes a boiler with its magnetic filter in the other home, and asks no filter of air", async () => {
    await enter("/homes/boathouse", "Boiler or hydronic heating");
    await page.type("Name", "Guest boiler");
    await page.choose("The heating’s water", "sealed, with a pressure gauge");
    await page.press("Next");
    await page.heading("Where does it stand?");
    await page.press("Next");
    await page.heading("How is it shut off?");
    await browser.driver.findElement(By.id("shutOffPlace-2")).sendKeys("both sides of the filter");
    await page.press("Next");
    await page.heading("Which parts does it have?");
    await page.type("How many", "6");
    await endEntering(page);
    await page.press("Open its page");
    await page.heading("Guest boiler");
    // What nobody wrote down is not made up.
    expect(await text("section[aria-labelledby=shut-off]")).toBe(
      "How to shut it off\nWater valve: both sides of the filter, which position is off is not noted: find out and write it here",
    );
    // A boiler moves water: it is in no air system.
    expect(await text("aside dl")).not.toContain("Air");
    const parts = await text("section[aria-labelledby=parts]");
    expect(parts).toContain("Magnetic filter");
    expect(parts).toContain("Radiator 6");
    await page.follow("Magnetic filter");
    await page.heading("Magnetic filter");
    await page.follow("the heating’s water, washer of its drain plug");
    await page.choose("The heating’s water", "open to a header tank");
    await page.type("Washer of its drain plug", "24 mm, fibre");
    await page.press("Save");
    await page.heading("Magnetic filter");
    expect(await text("aside")).toContain("24 mm, fibre");
    await page.press("Note it done");
    await page.type("A note", "a thick coat");
    await page.type("What it cost", "4.50");
    await page.press("Save it");
    expect(await text("section[aria-labelledby=history]")).toMatch(
      /Sat 14 Mar\sCleaned, a thick coat, €4\.50/,
    );
    await page.seen("Cleaned Sat 14 Mar, today.");
  });

  it("switches between two homes, each with its own machines and shut-offs", async () => {
    await page.open(app.url + HOME);
    await page.press("Sluice House");
    await (await page.find(By.xpath("//*[@role='menuitem'][.='Go to The boathouse']"))).click();
    await page.find(By.xpath("//button[contains(., 'The boathouse')]"));
    await page.keys("h");
    await page.heading("The house");
    expect(await text("main")).toContain("Water heater");
    expect(await text("main")).not.toContain("Kiln-shed furnace");
    await page.press("How to shut things off");
    await page.heading("The boathouse: how to shut things off");
    const sheet = await text("article");
    expect(sheet).toContain("Gas emergency line: Merrow Bend gas emergency line, +99 555 0199");
    expect(sheet).toContain("Breaker: number 3, store, off");
  });

  it.each([
    ["20x20", "Cellar furnace: filter 20×20×1, MERV 8"],
    ["500×500 mm", "Cellar furnace: filter 20×20×1, MERV 8"],
    ["495 x 495 x 22", "Cellar furnace: filter 20×20×1, MERV 8"],
    ["25 x 16 x 1 in", "Kiln-shed furnace: filter 16×25×1, MERV 8"],
  ])("finds the right spare by the size %s, in any notation", async (typed, title) => {
    await page.open(app.url + HOME);
    await find(typed);
    const found = await page.find(By.css("[cmdk-item]"));
    expect(await found.getText()).toContain(title);
    expect(await browser.driver.findElements(By.css("[cmdk-item]"))).toHaveLength(1);
  });

  it("finds units, parts, notes, contacts and procedures by the beginnings of words", async () => {
    await page.open(app.url + HOME);
    await find("lime");
    await page.seen("Ants on the honeydew under the lime tree.");
    await (await page.find(By.css("[cmdk-input]"))).sendKeys(Key.CONTROL, "a");
    const list = async () => text("[cmdk-list]");
    const type = async (words: string, wanted: string) => {
      const input = await page.find(By.css("[cmdk-input]"));
      await input.sendKeys(Key.chord(Key.CONTROL, "a"), words);
      await browser.driver.wait(async () => (await list()).includes(wanted), 15_000);
    };
    await type("ottol", "Ottoline Ferrow");
    await type("recov", "Recovery core");
    await type("panel filt", "How it is done");
    await type("zzz", "Nothing here fits “zzz”.");
    await type("tarn v2", "Loft ventilator");
    await page.keys(Key.ENTER);
    await page.heading("Loft ventilator");
  });

  it("shows what a smoker would change, in days, before anything is saved", async () => {
    await page.open(`${app.url}${HOME}/household`);
    await page.press("Yes: Does anybody smoke indoors?");
    await page.seen("Saved, it would move");
    const effects = await text("#add [role=status]");
    expect(effects).toMatch(/HEPA cylinder: \d+ (days|weeks|months) sooner/);
    expect(await text("main ul")).not.toContain("Smoking indoors");
    await page.choose("Where it acts", "in Reading room");
    await browser.driver.wait(
      async () => !(await text("#add [role=status]")).includes("Gallery unit"),
      15_000,
    );
    expect(await text("#add [role=status]")).toContain("Reading-room purifier, HEPA cylinder");
  });

  it("takes no for an answer, and asks no more until told to", async () => {
    await page.press("No: Does anybody smoke indoors?");
    await page.seen("Asked, and not so:");
    await page.reload();
    expect(
      await browser.driver.findElements(
        By.xpath("//*[@aria-label='No: Does anybody smoke indoors?']"),
      ),
    ).toHaveLength(0);
    await page.press("Ask again: Smoking indoors");
    await page.find(By.xpath("//*[@aria-label='No: Does anybody smoke indoors?']"));
  });

  it("counts shut registers by the rule of a third", async () => {
    await page.open(`${app.url}${HOME}/rooms`);
    await page.seen("Four of 18 registers shut; a third, 6, may be.");
    for (const [i, words] of ["Five", "Six", "Seven"].entries()) {
      const open = await page.find(
        By.xpath("//button[@aria-pressed='false'][contains(., 'register')]"),
      );
      await browser.driver.executeScript("arguments[0].scrollIntoView({block:'center'})", open);
      await open.click();
      await page.seen(`${words} of 18 registers shut`);
      expect(i).toBeLessThan(3);
    }
    await page.seen("open one at least");
    await page.open(app.url + HOME);
    await page.seen("Too many registers are shut: open one at least.");
  });

  it("says on Today that an alarm has to be replaced, and that a warranty waits to be registered", async () => {
    await page.open(app.url + HOME);
    const watch = await text("section[aria-labelledby=watch]");
    const main = await text("main");
    expect(main).toContain("Hall alarm: replace the alarm");
    expect(main).toContain("2 weeks over, spent since Feb 2026: replace it");
    expect(watch).toContain(
      "Yard condenser: its warranty, until 20 May 2029, is not registered yet.",
    );
  });

  it("has how to shut a unit off one press away on every page of it", async () => {
    for (const path of [
      "units/cellar-furnace/edit",
      "units/cellar-furnace/note",
      "units/cellar-furnace/replace",
      "units/cellar-furnace/parts/new",
      "units/cellar-furnace/slots/new",
      "parts/cellar-filter/edit",
      "parts/cellar-filter/label",
      "parts/cellar-furnace-blower/changed",
    ]) {
      await page.open(`${app.url}${HOME}/${path}`);
      await page.press("How to shut it off");
      await page.seen("number 7, hall cupboard");
      await page.keys(Key.ESCAPE);
    }
  });

  it("enters another one alike, with slots and parts and a record of its own", async () => {
    await page.open(`${app.url}${HOME}/units/purifier`);
    await page.press("Enter another one like it");
    expect(await (await page.field("Name")).getAttribute("value")).toBe("Reading-room purifier 2");
    await page.tick("Ground floor");
    await page.press("Save");
    await page.heading("Reading-room purifier 2");
    expect(await text("section[aria-labelledby=parts]")).toContain("Carbon wrap");
    // Only that it moved is on record.
    expect(await text("section[aria-labelledby=history] tbody")).toContain(
      "Moved from Upper floor to Ground floor",
    );
    expect(await text("section[aria-labelledby=history] tbody")).not.toContain("New filter fitted");
  });

  it("replaces a machine: the slot in the duct goes over with its record, the rest retires", async () => {
    await page.open(`${app.url}${HOME}/units/cellar-furnace/replace`);
    await page.press("Replace it");
    await page.heading("What is on its plate?");
    await page.open(`${app.url}${HOME}/parts/cellar-filter`);
    expect(await text("section[aria-labelledby=history] tbody")).toContain("New filter fitted");
    expect(await text("#slot")).toMatch(/: (tomorrow|in \d days)$/);
    await page.open(`${app.url}${HOME}/units/cellar-furnace`);
    await page.heading("Cellar furnace, the old one");
    await page.seen("Out of service since Sat 14 Mar.");
    await page.follow("older");
    await page.seen("Flame sensor: polished");
    await page.open(`${app.url}${HOME}/house`);
    await page.seen("Out of service: Cellar furnace, the old one");
  });

  it("takes a unit out of service and puts it back", async () => {
    await page.open(`${app.url}${HOME}/units/box-cooler/replace`);
    await page.press("Take it out of service");
    await page.seen("Out of service since Sat 14 Mar.");
    await page.press("Put it back into service");
    await page.seen("Its parts");
    await page.find(By.xpath("//a[normalize-space(.)='Replace it, or take it out of service']"));
  });

  it("joins a machine to an air system, whose hours its filter then takes", async () => {
    const due = async () => {
      await page.open(`${app.url}${HOME}/parts/hall-prefilter`);
      return text("#slot");
    };
    const before = await due();
    await page.open(`${app.url}${HOME}/systems/kiln-furnace-air`);
    await page.tick("Hall cleaner");
    await page.press("Save");
    await page.heading("Air systems");
    await page.seen("Kiln-shed furnace and Hall cleaner");
    expect(await due()).not.toBe(before);
  });

  it("made no error in the console", async () => {
    expect(await page.consoleErrors()).toEqual([]);
  });
});

/** The same in the hand: a phone, a cellar, no mouse. */
describe("the register on a phone", () => {
  let app: AppServer;
  let browser: Browser;
  let page: Page;

  beforeAll(async () => {
    app = await startApp("demo");
    browser = await openBrowser(PHONE, true);
    page = pageOf(browser.driver);
  });
  afterAll(async () => {
    await browser?.quit();
    await app?.stop();
  });
  const text = async (css: string) => (await page.find(By.css(css))).getText();

  it("enters an alarm with the keyboard alone", async () => {
    await page.open(`${app.url}${HOME}/units/new`);
    const alarm = await page.find(By.css("input[value=co-alarm]"));
    await browser.driver.executeScript("arguments[0].focus()", alarm);
    await page.keys(Key.SPACE);
    await page.keys(Key.ENTER);
    await page.heading("What is on its plate?");
    await (
      await page.field("Name")
    ).sendKeys(Key.chord(Key.CONTROL, "a"), "Attic alarm", Key.ENTER);
    await page.heading("Where does it stand?");
    await browser.driver.executeScript("document.querySelector('input[name=levelId]').focus()");
    await page.keys(Key.SPACE, Key.ENTER);
    await page.heading("Which parts does it have?");
    await browser.driver.executeScript("document.querySelector('button[type=submit]').focus()");
    await page.keys(Key.ENTER);
    await page.heading("When was it last done?");
    await browser.driver.executeScript("document.querySelector('button[type=submit]').focus()");
    await page.keys(Key.ENTER);
    await page.heading("What is due first");
    await page.press("Open its page");
    await page.heading("Attic alarm");
    expect(await text("section[aria-labelledby=parts]")).toContain("Batteries");
    // Nobody asked when it was made: it is said, not supposed.
    await page.seen("Worth knowing still:");
    expect(await page.scrollsSideways()).toBe(false);
  });

  it("has every shut-off of a house a press away, and finds without a keyboard", async () => {
    await page.open(`${app.url}${HOME}/house`);
    await page.press("How to shut things off");
    await page.heading("Sluice House: how to shut things off");
    expect(await page.scrollsSideways()).toBe(false);
    await (await page.find(By.css("button[aria-keyshortcuts='/']"))).click();
    await (await page.find(By.css("[cmdk-input]"))).sendKeys("16x25");
    await (await page.find(By.css("[cmdk-item]"))).click();
    await page.heading("Filter 16×25×1, MERV 8");
    await page.press("How to shut it off");
    await page.seen("on the joist above the furnace");
    await page.press("Close");
  });

  it("comes back to where it was with the back button, and loses nothing typed", async () => {
    await page.open(`${app.url}${HOME}/units/gallery/set-up/place`);
    await (await page.field("How to get at it")).sendKeys(", mind the gutter");
    await browser.driver.executeScript("document.activeElement.blur()");
    await browser.driver.wait(async () => {
      await page.open(`${app.url}${HOME}/house`);
      await browser.driver.navigate().back();
      await page.heading("Where does it stand?");
      await page.reload();
      const kept = await (await page.field("How to get at it")).getAttribute("value");
      return kept?.endsWith(", mind the gutter");
    }, 30_000);
  });

  it("made no error in the console", async () => {
    expect(await page.consoleErrors()).toEqual([]);
  });
});
