import { copyFileSync, existsSync, readFileSync, statSync, writeFileSync } from "node:fs";
import path from "node:path";
import { createClient } from "@libsql/client";
import { By, Key } from "selenium-webdriver";
import { plainDate } from "@/core/quantities/plain-date";
import { backUp } from "@/db/backup";
import { startApp, type AppServer } from "./app-server";
import { openBrowser, type Browser } from "./browser";
import { endEntering } from "./entering";
import { pageOf, type Page } from "./page";

const SMALL = { width: 360, height: 640 };

/** The errands of somebody new, on a small phone, in °F: four machines, and what they ask of one. */
describe("a new home on a phone", () => {
  let app: AppServer;
  let browser: Browser;
  let page: Page;
  let home = "";

  beforeAll(async () => {
    app = await startApp("empty");
    browser = await openBrowser(SMALL);
    page = pageOf(browser.driver);
  });
  afterAll(async () => {
    await browser?.quit();
    await app?.stop();
  });
  const text = async (css: string) => (await page.find(By.css(css))).getText();
  const value = async (label: string) => (await page.field(label)).getAttribute("value");
  const enter = async (kind: string, name: string) => {
    await page.open(`${home}/units/new`);
    await page.tick(kind);
    await page.press("Go on");
    await page.heading("What is on its plate?");
    await page.type("Name", name);
  };
  const next = async (heading: string) => {
    await page.press("Next");
    await page.heading(heading);
  };
  const done = async () => {
    await endEntering(page);
  };
  const menu = async (item: string) => {
    const entry = By.xpath(
      `//*[@role='menuitem' or @role='menuitemcheckbox'][contains(., "${item}")]`,
    );
    await browser.driver.wait(async () => {
      if ((await browser.driver.findElements(entry)).length > 0) return true;
      await page.press("Weir cottage");
      return false;
    }, 15_000);
    return page.find(entry);
  };

  it("is told what the tool does and where data lives, before anything is asked", async () => {
    await page.open(app.url);
    await page.seen("Your data stays here.");
    await page.seen("Furnace, filter 16×25×1, MERV 8");
    expect(await page.scrollsSideways()).toBe(false);
    await page.press("Enter your home");
  });

  it("turns every figure in hand with the units, and back to what was typed", async () => {
    await page.heading("Your home");
    await page.type("What do you call it?", "Weir cottage");
    await page.tick("°F, inches");
    await page.type("Mean of each month", "16 19 30 45 55.5 64 70 68 59 46 34 21");
    await page.type("Coldest usual night", "-11");
    await page.type("Hottest usual day", "79");
    await page.type("Night to day", "18");
    await page.tick("°C, millimetres");
    expect(await value("Coldest usual night, °C")).toBe("-23.89");
    expect(await value("Night to day, K")).toBe("10");
    await page.tick("°F, inches");
    expect(await value("Mean of each month, °F")).toBe("16 19 30 45 55.5 64 70 68 59 46 34 21");
    expect(await value("Coldest usual night, °F")).toBe("-11");
    expect(await value("Night to day, °F")).toBe("18");
    await page.tick("Basement");
    await page.press("Save, then add a unit");
    await page.heading("What do you want to enter?");
    home = (await browser.driver.getCurrentUrl()).replace("/units/new", "");
  });

  it("enters a furnace with a coil: the parts of cooling are ticked, and what is due first is said", async () => {
    await enter("Furnace, condensing", "Furnace");
    await page.tick("It cools too");
    await next("Where does it stand?");
    await next("How is it shut off?");
    await next("Where does its filter sit?");
    // Curly quotes and no spaces, as a label has it.
    await page.type("Printed size", "16”x25”x1”");
    await page.seen("Read as 16×25×1");
    await page.setDate("The one in it went in on", "2026-01-20");
    await next("Which parts does it have?");
    for (const part of ["evaporator-coil", "drain-pan", "condensate-line"])
      expect(
        await (await browser.driver.findElement(By.css(`input[value=${part}]`))).isSelected(),
      ).toBe(true);
    await done();
    expect(await text("main table")).toMatch(/Change the filter[^]*Furnace, Filter/);
  });

  it("enters a ventilator, a boiler and a purifier, and asks none for what it has not", async () => {
    await enter("Ventilator with heat recovery", "Ventilator");
    await next("Where does it stand?");
    await next("How is it shut off?");
    await next("Where does its filter sit?");
    for (const size of await browser.driver.findElements(By.css("input[name^=nominal-]")))
      await size.sendKeys("420 x 180 x 25 mm");
    await next("Which parts does it have?");
    await done();
    await page.seen("nobody has said yet.");

    await enter("Boiler or hydronic heating", "Boiler");
    await next("Where does it stand?");
    // It moves water: no air is shared with anything.
    expect(await browser.driver.findElements(By.css("[name=runsWith]"))).toHaveLength(0);
    await next("How is it shut off?");
    await next("Which parts does it have?");
    await done();
    await page.press("Open its page");
    await page.heading("Boiler");
    expect(await text("main")).not.toContain("Air\n");
    expect(await text("main")).not.toContain("Add a filter slot");

    await enter("Portable air purifier", "Purifier");
    await next("Where does it stand?");
    await next("How is it shut off?");
    await next("Where does its filter sit?");
    // A cylinder goes by a number, or is not known yet; one that is round can be measured too.
    await page.choose("It is bought by", "printed on its frame");
    await page.type("Printed size", "ø8 x 12 in");
    await page.seen("Read as ø");
    await next("Which parts does it have?");
    await done();
    await page.press("Go to Today");
    await page.find(By.css("section[aria-labelledby=closer]"));
    expect(await text("main")).not.toContain("Boiler has no filter");
  });

  it("notes a job of the boiler done, a service in spring, and says what it counts for", async () => {
    await page.press("House");
    await page.heading("The house");
    await page.open(`${home}/jobs`);
    await page.press("Note it done: Have it serviced");
    await page.heading("Have it serviced");
    await page.setDate("Done on", "2026-03-10");
    await page.press("Save it");
    await page.says(
      "main [role=status]",
      /Have it serviced: (still )?next .*it counts for the season behind it/,
    );
  });

  it("says of a look which way the day went, or what it taught", async () => {
    await page.open(`${home}/look`);
    await page.choose("Which filter", "Furnace, Filter").catch(() => undefined);
    await page.tick("clean");
    await page.press("Save the look");
    await page.says("main [role=status]", /slower than was thought|teaches nothing new|surer by/);
  });

  it("brings everybody out at 30 ppm, wherever it is typed", async () => {
    await page.open(`${home}/reading`);
    await page.choose("What was read", "Carbon monoxide");
    await page.type("Read", "35");
    await page.find(By.css("[role=alert]"));
    await page.press("Save the reading");
    await page.heading("everybody out");
  });

  it("leaves two thirds of a small screen to the page", async () => {
    await page.open(home);
    const rest = await browser.driver.executeScript<number>(
      "const top = document.querySelector('main').getBoundingClientRect().top; const foot = document.querySelector('nav[data-place=foot]').getBoundingClientRect().height; return (innerHeight - top - foot) / innerHeight",
    );
    expect(rest).toBeGreaterThan(2 / 3);
  });

  it("has the beam as one stop of the tab key, its pegs by the arrows", async () => {
    const stops = await browser.driver.executeScript<number>(
      "return document.querySelectorAll(\"nav[aria-label^='The year'] [tabindex='0']\").length",
    );
    expect(stops).toBeLessThanOrEqual(1);
    const forms = await browser.driver.executeScript<string[]>(
      "return [...new Set([...document.querySelectorAll(\"nav[aria-label^='The year'] a\")].map((peg) => peg.dataset.what))]",
    );
    expect(forms.length).toBeGreaterThan(1);
  });

  it("lets keys of one letter be turned off", async () => {
    await page.keys("h");
    await page.heading("The house");
    await (await menu("Keys of one letter")).click();
    await browser.driver.wait(
      async () =>
        (await browser.driver.executeScript("return document.documentElement.dataset.keys")) ===
        "off",
      15_000,
    );
    await page.keys(Key.ESCAPE);
    await page.keys("t", "?");
    await page.heading("The house");
    expect(await browser.driver.findElements(By.css("[role=dialog]"))).toHaveLength(0);
  });

  it("gives a copy of everything to take away, whole and named by the day", async () => {
    const press = await menu("Save a copy of everything");
    // The press sends a form: no address that a page of another site could have fetched makes a copy.
    expect(await press.getTagName()).toBe("button");
    const address = `${app.url}/api/v1/backup`;
    expect((await fetch(address)).status).toBe(405);
    expect((await fetch(address, { method: "HEAD" })).status).toBe(405);
    const foreign = { origin: "http://evil.example" };
    expect((await fetch(address, { method: "POST", headers: foreign })).status).toBe(403);
    const answer = await fetch(address, { method: "POST" });
    expect(answer.headers.get("content-disposition")).toContain("amber-lintel-2026-03-14.db");
    const copy = path.join(path.dirname(app.file), "taken.db");
    writeFileSync(copy, Buffer.from(await answer.arrayBuffer()));
    const client = createClient({ url: `file:${copy}` });
    const { rows } = await client.execute("SELECT name FROM units ORDER BY name");
    client.close();
    expect(rows.map((row) => row["name"])).toEqual(["Boiler", "Furnace", "Purifier", "Ventilator"]);
  });

  /** Once it stands in its place one is led to the home; the welcome screen speaks of what is due too. */
  const putItBack = async () => {
    await page.press("Put it back");
    await browser.driver.wait(
      async () => /\/homes\/[^/]+$/.test(await browser.driver.getCurrentUrl()),
      15_000,
    );
    await page.heading("due");
  };

  it("goes back to a copy from the welcome screen, and from there to what was before", async () => {
    const day = plainDate("2026-03-13");
    await backUp(app.file, path.join(path.dirname(app.file), "daily-copies"), day);
    await page.open(`${app.url}/welcome`);
    await page.press("Put back the copy of Fri 13 Mar, made by itself");
    await page.heading("Put back the copy of Fri 13 Mar?");
    await page.press("Leave all as it is");
    // What is entered after the copy goes with it, and is kept in a copy of its own.
    await page.open(`${home}/contacts`);
    await page.type("Name", "Ada Quill");
    await page.press("Add them");
    await page.seen("Ada Quill");
    await page.open(`${app.url}/welcome`);
    await page.press("Put back the copy of Fri 13 Mar, made by itself");
    await putItBack();
    await page.open(`${home}/contacts`);
    expect(await browser.driver.getPageSource()).not.toContain("Ada Quill");
    await page.open(`${app.url}/welcome`);
    await page.seen("What stood here until a copy was put back");
    await page.press("Put back the copy of Sat 14 Mar, what stood here until a copy was put back");
    await putItBack();
    await page.open(`${home}/contacts`);
    await page.seen("Ada Quill");
  });

  it("takes a saved copy by its file and goes back to it; one that cannot be read it names and refuses", async () => {
    const taken = path.join(path.dirname(app.file), "taken.db");
    const spoiled = path.join(path.dirname(app.file), "spoiled.db");
    copyFileSync(taken, spoiled);
    const client = createClient({ url: `file:${spoiled}` });
    await client.execute("PRAGMA journal_mode = DELETE");
    await client.execute("UPDATE homes SET daily_range_k = '[['");
    client.close();
    await page.open(`${app.url}/welcome`);
    const choose = async (file: string) =>
      (await browser.driver.findElement(By.css("input[type=file]"))).sendKeys(file);
    await choose(spoiled);
    await page.seen(
      "“Weir cottage” cannot be read: its climate cannot be made out. Nothing was changed.",
    );
    await choose(taken);
    await page.seen("taken.db is in the list now");
    await page.press("Put back the copy of Sat 14 Mar, brought by its file");
    await putItBack();
    await page.open(`${home}/contacts`);
    expect(await browser.driver.getPageSource()).not.toContain("Ada Quill");
  });

  it("folds its log into one file when it is stopped in good order", async () => {
    await app.end();
    const log = `${app.file}-wal`;
    expect(existsSync(log) ? statSync(log).size : 0).toBe(0);
    expect(readFileSync(app.file).includes("Weir cottage")).toBe(true);
    await app.start();
    await page.open(app.url);
    await page.heading("due");
  });

  it("answers no name but its own", async () => {
    const port = new URL(app.url).port;
    const { request } = await import("node:http");
    const status = await new Promise<number | undefined>((resolve, reject) => {
      const ask = request(
        { host: "127.0.0.1", port, path: "/welcome", headers: { host: "evil.example" } },
        (answer) => resolve(answer.statusCode),
      );
      ask.on("error", reject).end();
    });
    expect(status).toBe(403);
  });

  it("made no error in the console, but for the copy that was refused", async () => {
    const errors = (await page.consoleErrors()).filter(
      (error) => !error.includes("net::ERR_") && !/api\/v1\/copies .*400/.test(error),
    );
    expect(errors).toEqual([]);
  });
});
