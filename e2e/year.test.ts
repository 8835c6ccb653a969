import { By, Key, type WebElement } from "selenium-webdriver";
import { openStore } from "@/db/client";
import { DESK, openBrowser, PHONE, type Browser } from "./browser";
import { inDemo } from "./in-demo";
import { pageOf } from "./page";

const HOME = "/homes/sluice-house";

describe("the year on a desk", () => {
  const { demo, text } = inDemo(DESK);
  const driver = () => demo.browser.driver;
  // Seven machines are enough to be moved about: each page of all of them takes a browser its time.
  beforeAll(async () => {
    const store = await openStore(demo.app.file);
    await store.client.execute(
      `UPDATE units SET deleted_at = '2026-03-01' WHERE home_id = 'sluice-house' AND id NOT IN
       ('cellar-furnace', 'hall-cleaner', 'purifier', 'loft-ventilator', 'gallery', 'workshop-heater', 'dryer')`,
    );
    store.close();
  });
  const open = async () => {
    await demo.page.open(`${demo.app.url}${HOME}/year`);
    await demo.page.heading("until 12 Feb");
  };
  /** The marks of a machine’s lane from today on, by where they stand. */
  const marksOf = (row: string) => driver().findElements(By.css(`[data-mark][data-row='${row}']`));
  const label = async (mark: WebElement) => (await mark.getAttribute("title")) ?? "";
  /** What a lane says at one moment, whatever is drawn anew meanwhile. */
  const labels = (row: string) =>
    driver().executeScript<string[]>(
      "return [...document.querySelectorAll(`[data-mark][data-row='${arguments[0]}']`)].map((each) => each.title)",
      row,
    );
  const hasGone = (row: string, before: string) =>
    driver().wait(async () => !(await labels(row)).includes(before), 15_000);
  const price = async () => (await demo.page.find(By.css("[data-price]"))).getText();
  /** Waits until the price is there and no longer being worked out. */
  const priced = () =>
    driver().wait(async () => {
      const said = await price();
      return said.includes("dearer") || said.includes("cheaper") ? said : null;
    }, 20_000) as Promise<string>;

  /** Whoever goes by keys still stands somewhere on the page: at its title, or at what came in the place of what was pressed. */
  const stands = (css: string) =>
    driver().wait(
      () =>
        driver().executeScript<boolean>(
          "return document.activeElement !== document.body && document.activeElement.matches(arguments[0])",
          css,
        ),
      15_000,
      `The focus is not at ${css}`,
    );

  it("shows what it comes to, what was not done, and the draft beside the plan in words", async () => {
    await open();
    const draft = await text("section[aria-label='The draft']");
    expect(draft).toMatch(/The draft, below\s+\d+ rounds\s+\d+ visits/);
    await demo.page.press("Now: show it");
    expect(await text("main header")).toContain(
      "Not done: Scullery dryer vent: brush out the dryer’s duct, planned for Sat 14 Feb.",
    );
    await demo.page.press("The draft: show it");
    await driver().findElement(By.css("section[aria-label='The draft'] summary")).click();
    expect(await text("section[aria-label='The draft'] ul")).toContain(
      "Cellar furnace: rinse and refill the trap: also on Sat 14 Mar",
    );
    expect(await demo.page.scrollsSideways()).toBe(false);
    expect(await demo.page.axe()).toEqual([]);
  });

  it("drags a job by the mouse: its price stands beside it before it is dropped", async () => {
    await open();
    const [, second] = await marksOf("hall-cleaner");
    const before = await label(second!);
    await driver().executeScript("arguments[0].scrollIntoView({ block: 'center' })", second);
    await driver()
      .actions()
      .move({ origin: second! })
      .press()
      .move({ origin: second!, x: 12, y: 0 })
      .move({ origin: second!, x: 30, y: 0 })
      .perform();
    const said = await priced();
    expect(said).toMatch(/(over its time|unused|past its window|round more)/);
    // Escape puts it back, whatever it would have cost.
    await driver().actions().sendKeys(Key.ESCAPE).perform();
    await driver().actions().release().perform();
    expect(await label((await marksOf("hall-cleaner"))[1]!)).toBe(before);
    await driver()
      .actions()
      .move({ origin: second! })
      .press()
      .move({ origin: second!, x: 12, y: 0 })
      .move({ origin: second!, x: 30, y: 0 })
      .perform();
    await priced();
    await driver().actions().release().perform();
    await hasGone("hall-cleaner", before);
    await stands("[data-mark][data-row='hall-cleaner']");
    expect((await labels("hall-cleaner")).join()).toContain("pinned");
  });

  it("moves one by the keys alone, with its price, and walks from mark to mark", async () => {
    await open();
    const [first, second] = await marksOf("purifier");
    await driver().executeScript("arguments[0].focus()", first);
    await demo.page.keys(Key.ARROW_RIGHT);
    const focused = () => driver().switchTo().activeElement();
    expect(await label(await focused())).toBe(await label(second!));
    const before = await label(second!);
    await demo.page.keys(" ");
    await demo.page.keys(Key.ARROW_RIGHT);
    const said = await priced();
    const live = await driver().findElement(
      By.css("section[aria-label='Lanes of the year'] [aria-live]"),
    );
    expect(await live.getAttribute("textContent")).toContain(said.split("\n")[0]!.split(":")[0]!);
    await demo.page.keys(" ");
    await hasGone("purifier", before);
    await stands("[data-mark][data-row='purifier']");
  });

  it("drags a whole round by its head", async () => {
    await open();
    const heads = await marksOf("heads");
    const own = [];
    for (const head of heads) if (/^Round.* [3-9] jobs/.test(await label(head))) own.push(head);
    const head = own[1]!;
    const before = await label(head);
    await driver().executeScript("arguments[0].focus()", head);
    await demo.page.keys(" ");
    await demo.page.keys(Key.ARROW_RIGHT);
    await priced();
    await demo.page.keys(Key.ENTER);
    await hasGone("heads", before);
    await stands("[data-mark][data-row='heads']");
  });

  it("says why something is where it is, and pins it there", async () => {
    await open();
    // One job by itself, in whichever lane the plan has one.
    const marks = await driver().findElements(By.css("[data-mark]:not([data-row=heads])"));
    const single = [];
    for (const mark of marks) if (!(await label(mark)).includes("jobs,")) single.push(mark);
    const mark = single.at(-1)!;
    const row = await mark.getAttribute("data-row");
    await driver().executeScript("arguments[0].scrollIntoView({ block: 'center' })", mark);
    await driver().executeScript("arguments[0].focus()", mark);
    await demo.page.keys(Key.ENTER);
    await demo.page.says("section[aria-label='Why here']", /(others are|other job is|to itself)/);
    await demo.page.says("section[aria-label='Move to']", /(dearer|cheaper)/);
    await demo.page.press("Pin it here");
    await demo.page.seen("Let go of the pin");
    expect(await demo.page.axe()).toEqual([]);
    await demo.page.keys(Key.ESCAPE);
    await stands(`[data-mark][data-row='${row}']`);
  });

  it("answers another window that was overtaken, and shows it as it is now", async () => {
    await open();
    const other: Browser = await openBrowser(DESK);
    try {
      const there = pageOf(other.driver);
      await there.open(`${demo.app.url}${HOME}/year`);
      await there.heading("until 12 Feb");
      // Moved here, then there from what that window still shows.
      for (const [page, row] of [
        [demo.page, "gallery"],
        [there, "workshop-heater"],
      ] as const) {
        const at = page === demo.page ? driver() : other.driver;
        const [mark] = await at.findElements(By.css(`[data-mark][data-row='${row}']`));
        await at.executeScript("arguments[0].focus()", mark);
        await page.keys(Key.ENTER);
        await page.says("section[aria-label='Move to']", /(dearer|cheaper)/);
        await at.findElement(By.css("section[aria-label='Move to'] li button")).click();
        if (page === demo.page)
          await at.wait(
            async () => (await at.findElements(By.css("[role=dialog]"))).length === 0,
            15_000,
          );
        if (page === demo.page) await stands("[data-mark][data-row='gallery']");
      }
      await there.seen("The draft was changed in another window.");
    } finally {
      await other.quit();
    }
  });

  it("plans in a worker, tells how far it is, and may be cancelled: the draft stays", async () => {
    await open();
    const before = await text("section[aria-label='The draft'] table");
    await demo.page.press("Plan anew");
    await demo.page.find(By.css("progress"));
    await stands("[aria-label=Planning], [aria-label=Planning] *");
    await demo.page.press("Cancel");
    await demo.page.seen("Plan anew");
    await stands("h1");
    expect(await text("section[aria-label='The draft'] table")).toBe(before);
    await demo.page.press("Plan anew");
    await demo.page.find(By.css("progress"));
    await demo.page.says("[aria-label=Planning]", /\d+ %/);
    await demo.page.press("Take the best so far");
    await driver().wait(
      async () => (await driver().findElements(By.css("progress"))).length === 0,
      20_000,
    );
    await stands("h1");
    expect(await text("section[aria-label='The draft'] table")).toMatch(/\d+ rounds/);
  });

  it("says so when the app is not there, and nothing is lost", async () => {
    await open();
    await demo.app.kill();
    await demo.page.press("Publish the draft");
    await demo.page.seen("The app could not be reached; nothing was changed. Try again.");
    await demo.app.start();
    await open();
    expect(await text("section[aria-label='The draft']")).toContain("The draft, below");
  });

  it("publishes on purpose: its rounds hang from the beam; at once it can be taken back", async () => {
    await open();
    await demo.page.press("Publish the draft");
    await demo.page.seen("Published: these are the rounds now.");
    await driver().wait(
      async () =>
        (await driver().findElements(By.css("section[aria-label='The draft']"))).length === 0,
      15_000,
    );
    expect(await text("main header")).toContain("Published 14 Mar");
    await stands("h1");
    await demo.page.press("Undo");
    await demo.page.seen("The draft, below");
    await demo.page.press("Publish the draft");
    await demo.page.seen("Published: these are the rounds now.");
    // Looked at closer, beam and lanes together, each round hangs by itself.
    await demo.page.press("Look closer");
    const width =
      "return document.querySelector(\"section[aria-label='Lanes of the year'] .overflow-x-auto > div\").style.width";
    expect(await driver().executeScript(width)).toBe("400%");
    const peg = `nav[aria-label='The year and what hangs from it'] a[href*='/year/2026'][href$='/owner']`;
    const pegs = await driver().findElements(By.css(peg));
    expect(pegs.length).toBeGreaterThan(3);
    // The beam is drawn anew once the plan counts: what hung there before has gone.
    const gone = `${peg.replace("/year/2026", "/year/2026-04-12")}`;
    await demo.page.until(async () => (await driver().findElements(By.css(gone))).length === 0);
    await driver().executeScript(`document.querySelector("${peg}").click()`);
    await demo.page.heading("Round of");
    await demo.page.press("It is agreed: keep this round");
    await demo.page.seen("It is not agreed any more");
    const errors = (await demo.page.consoleErrors()).filter((each) => !each.includes("ERR_"));
    expect(errors).toEqual([]);
  });
});

describe("the year on a phone", () => {
  const { demo, text } = inDemo(PHONE);

  it("is a list of rounds; a job is moved from it with the price in sight", async () => {
    await demo.page.open(`${demo.app.url}${HOME}/year`);
    const list = await text("section[aria-label='Rounds of the year']");
    expect(list).toContain("Mar 2026");
    expect(await demo.page.scrollsSideways()).toBe(false);
    expect(await demo.page.axe()).toEqual([]);
    await demo.page.press("Cellar furnace: change the filter");
    await demo.page.says("section[aria-label='Move to']", /(dearer|cheaper)/);
    expect(await demo.page.axe()).toEqual([]);
    await demo.browser.driver
      .findElement(By.css("section[aria-label='Move to'] li button"))
      .click();
    await demo.page.seen("pinned");
  });

  it("says who goes round, and refuses a day that ends before it begins at its field", async () => {
    await demo.page.open(`${demo.app.url}${HOME}/year/people?change=owner`);
    await demo.page.heading("Change Hedda");
    await demo.page.type("Most minutes", "nine");
    await demo.page.press("Save");
    expect(await demo.page.problemAt("Most minutes")).toContain("whole number of minutes");
    await demo.page.type("Most minutes", "60");
    await demo.page.press("Save");
    await demo.page.seen("Saturdays and Sundays, else any day; 60 minutes at most.");
    expect(await demo.page.scrollsSideways()).toBe(false);
    expect(await demo.page.axe()).toEqual([]);
  });

  it("asks a technician for three days, over both homes", async () => {
    await demo.page.open(`${demo.app.url}${HOME}/year/technician`);
    await demo.page.seen("Days to ask for:");
    expect(await text("main")).toMatch(
      /Days to ask for: \w{3} \d+ \w{3}, \w{3} \d+ \w{3}, \w{3} \d+/,
    );
    expect(await demo.page.scrollsSideways()).toBe(false);
    expect(await demo.page.axe()).toEqual([]);
  });

  it("plans the first year of a home that has none", async () => {
    await demo.page.open(`${demo.app.url}/homes/boathouse/year`);
    await demo.page.heading("No rounds are planned yet");
    await demo.page.press("Plan the year");
    await demo.page.seen("This is a draft: nothing counts before it is published.");
    await demo.page.press("Put it away");
    await demo.page.heading("No rounds are planned yet");
    await demo.page.press("Undo");
    await demo.page.seen("This is a draft: nothing counts before it is published.");
  });
});
