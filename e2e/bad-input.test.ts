import { By } from "selenium-webdriver";
import { startApp, type AppServer } from "./app-server";
import { openBrowser, type Browser } from "./browser";
import { pageOf, type Page } from "./page";

/** Each mistake is answered at its field in plain words, and nothing typed is lost. */
describe("bad input", () => {
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
  const value = async (label: string) => (await page.field(label)).getAttribute("value");

  it("a month list of eleven, and a home without a name", async () => {
    await page.open(`${app.url}/homes/new`);
    await page.press("Mild and wet all year, near a sea");
    await page.type("Mean of each month", "5 5 7 9 12 15 17 17 15 11 8");
    await page.seen("11 of 12 figures");
    await page.type("People", "some");
    await page.press("Save, then add a unit");
    expect(await page.problemAt("What do you call it?")).toBe("Give the home a name.");
    expect(await page.problemAt("Mean of each month")).toBe(
      "That is 11 figures; a year has twelve months, January first.",
    );
    expect(await page.problemAt("People")).toBe("Give the number of people, 0 to 30.");
    await page.seen("3 fields need another look.");
    expect(await value("Mean of each month")).toBe("5 5 7 9 12 15 17 17 15 11 8");
    expect(await value("Coldest usual night")).toBe("-4");
    expect(await value("People")).toBe("some");
  });

  it("a winter milder than its months", async () => {
    await page.type("What do you call it?", "Somewhere");
    await page.type("Mean of each month", "5 5 7 9 12 15 17 17 15 11 8 6");
    await page.type("Coldest usual night", "9");
    await page.type("People", "2");
    await page.press("Save, then add a unit");
    expect(await page.problemAt("Coldest usual night")).toContain("can’t be milder");
    expect(await value("What do you call it?")).toBe("Somewhere");
  });

  it("sizes of zero, a filter larger than its slot, a rating that doesn't exist, a day to come", async () => {
    await page.open(`${app.url}/homes/sluice-house/units/cellar-furnace/slots/new`);
    await page.type("Printed size", "20x0x1");
    await page.type("Rating", "MERV 17");
    await page.type("Price of one", "cheap");
    await page.choose("The arrow points", "to the left");
    await page.setDate("Fitted on", "2026-03-15");
    await page.press("Save the slot");
    expect(await page.problemAt("Printed size")).toBe(
      "A filter has some width, height and depth: none of them can be 0.",
    );
    expect(await page.problemAt("Rating")).toMatch(
      /^There is no such rating\. It reads MERV 1 to 16/,
    );
    expect(await page.problemAt("Price of one")).toBe("Write the price in EUR, such as 18.50.");
    expect(await page.problemAt("Fitted on")).toBe(
      "That day is still to come. Give today or an earlier day.",
    );
    expect(await value("Printed size")).toBe("20x0x1");
    expect(await value("Rating")).toBe("MERV 17");
    expect(await value("The arrow points")).toBe("left");
    expect(await value("Fitted on")).toBe("2026-03-15");

    await page.type("Printed size", "20x25x1");
    await page.type("The slot, measured", "500x500x30 mm");
    await page.press("Save the slot");
    await browser.driver.wait(
      async () =>
        (await page.problemAt("Printed size")).startsWith(
          "This filter is larger than its slot in height",
        ),
      15_000,
    );
  });

  it("a slip of the unit is asked about, not guessed", async () => {
    await page.type("Printed size", "300x300x20 in");
    await page.press("Save the slot");
    await browser.driver.wait(
      async () => (await page.problemAt("Printed size")).startsWith("That is more than 3 m"),
      15_000,
    );
  });

  it("a unit of no kind, and one without a name from next year", async () => {
    await page.open(`${app.url}/homes/sluice-house/units/new`);
    await page.press("Go on");
    await page.seen("Choose what kind of unit it is.");
    await page.open(`${app.url}/homes/sluice-house/units/yard-condenser/edit`);
    await page.type("Name", " ");
    await page.setDate("In service since", "2027-01-01");
    await page.type("Serial number", "NG-1");
    await page.press("Save");
    expect(await page.problemAt("Name")).toBe("Give it the name you call it by.");
    expect(await page.problemAt("In service since")).toBe("That day is still to come.");
    expect(await value("Serial number")).toBe("NG-1");
  });

  it("an answer that is none, a storey nobody has, a telephone that is not one", async () => {
    await page.open(`${app.url}/homes/sluice-house/parts/dryer-dryer-duct/edit`);
    await page.type("Length", "a few steps");
    await page.press("Save");
    expect(await page.problemAt("Length")).toBe("A length, such as 6.5 m or 21 ft.");
    await page.open(`${app.url}/homes/sluice-house/rooms`);
    await page.type("Name of the level", "Attic of the attic");
    await page.type("Storeys above", "40");
    await page.press("Add the level");
    expect(await page.problemAt("Storeys above")).toContain("0 for the ground");
    await page.open(`${app.url}/homes/sluice-house/contacts`);
    await page.type("Name", "Somebody");
    await page.type("Telephone", "call me");
    await page.press("Add them");
    expect(await page.problemAt("Telephone")).toContain("Digits, as one dials them");
    expect(await value("Name")).toBe("Somebody");
  });

  it("a look tomorrow, and a look at nothing", async () => {
    await page.open(`${app.url}/homes/sluice-house/look?slot=kiln-filter`);
    expect(await value("Which filter")).toBe("kiln-filter");
    await page.setDate("When", "2026-03-20");
    await page.press("Save the look");
    await page.seen("Choose the picture that comes nearest, or write the drop.");
    // Of a choice, too, the first answer has the focus.
    expect(await (await browser.driver.switchTo().activeElement()).getAttribute("name")).toBe(
      "grade",
    );
    await page.tick("grey");
    await page.press("Save the look");
    expect(await page.problemAt("When")).toContain("still to come");
    expect(
      await browser.driver.executeScript(
        "return document.querySelector('input[name=grade]:checked').value",
      ),
    ).toBe("grey");
  });

  it("building work without a beginning, and an end before it begins", async () => {
    await page.open(`${app.url}/homes/sluice-house/household`);
    await page.press("Add it");
    expect(await page.problemAt("From")).toBe("Give the day it began.");
    await page.setDate("From", "2026-02-10");
    await page.setDate("To", "2026-02-01");
    await page.press("Add it");
    expect(await page.problemAt("To")).toBe("It ends before it begins.");
    await page.setDate("To", "2026-02-20");
    await page.type("Your own word for it", "attic plaster");
    await page.press("Add it");
    await page.seen("attic plaster");
    await page.press("Remove: attic plaster");
    await page.press("Undo");
    await page.find(By.xpath("//ul//strong[.='attic plaster']"));
  });

  it("a save while the server is gone: every field stays, and it is sent again on request", async () => {
    await page.open(`${app.url}/homes/sluice-house/units/purifier/note`);
    await page.type("Note", "the wrap smells of the pipe");
    await app.kill();
    await page.press("Save the note");
    await page.seen("Not saved:");
    expect(await value("Note")).toBe("the wrap smells of the pipe");
    await app.start();
    await page.press("Save the note");
    await page.heading("Reading-room purifier");
    await page.seen("the wrap smells of the pipe");
  });

  it("a form that was saved already, under its name but with other words: asked, then one more", async () => {
    const open = async (words: string) => {
      await page.open(`${app.url}/homes/sluice-house/units/purifier/note`);
      await page.type("Note", words);
      // As a page that a browser kept would send it.
      await browser.driver.executeScript(
        "document.querySelector('[name=command-id]').value = 'kept-by-a-browser'",
      );
      await page.press("Save the note");
    };
    await open("it ticks when it cools");
    await page.heading("Reading-room purifier");
    await open("it ticks when it warms up");
    await page.seen("This was saved already, with other values.");
    expect(await value("Note")).toBe("it ticks when it warms up");
    await page.press("Save the note");
    await page.heading("Reading-room purifier");
    await page.seen("it ticks when it warms up");
    await page.seen("it ticks when it cools");
  });

  it("two tabs on one filter: the later is shown both, and chooses", async () => {
    const address = `${app.url}/homes/sluice-house/parts/purifier-wrap/edit`;
    await page.open(address);
    const first = await browser.driver.getWindowHandle();
    await browser.driver.switchTo().newWindow("tab");
    await page.open(address);
    await page.type("How to find it", "behind the grille, clipped");
    await page.press("Save the slot");
    await page.find(By.css("section[aria-labelledby=slot]"));
    await browser.driver.close();
    await browser.driver.switchTo().window(first);
    await page.type("How to find it", "under the lid");
    await page.press("Save the slot");
    await page.seen("Changed elsewhere");
    await page.seen("behind the grille, clipped");
    expect(await value("How to find it")).toBe("under the lid");
    await page.press("Save mine over it");
    await page.find(By.css("section[aria-labelledby=slot]"));
    await page.seen("under the lid");
  });

  it("what was typed is there again after the back button", async () => {
    await page.open(`${app.url}/homes/sluice-house/units/purifier`);
    await page.press("Write a note");
    await page.type("Note", "half a thought");
    await page.press("House");
    await page.heading("The house");
    await browser.driver.navigate().back();
    await browser.driver.wait(async () => (await value("Note")) === "half a thought", 15_000);
  });

  /** Where a form stands that takes words, figures or days. */
  const FORMS = [
    "homes/new",
    "homes/sluice-house/edit",
    "homes/sluice-house/contacts",
    "homes/sluice-house/rooms",
    "homes/sluice-house/household",
    "homes/sluice-house/year/people",
    "homes/sluice-house/instruments",
    "homes/sluice-house/visits/new",
    "homes/sluice-house/breakdowns/new?unit=cellar-furnace",
    "homes/sluice-house/jobs/new",
    "homes/sluice-house/jobs/dryer-dryer-duct.brush/done",
    "homes/sluice-house/jobs/dryer-dryer-duct.brush",
    "homes/sluice-house/reading",
    "homes/sluice-house/look?slot=kiln-filter",
    "homes/sluice-house/units/cellar-furnace/edit",
    "homes/sluice-house/units/cellar-furnace/replace",
    "homes/sluice-house/units/cellar-furnace/costs",
    "homes/sluice-house/units/cellar-furnace/slots/new",
    "homes/sluice-house/parts/dryer-dryer-duct/edit",
    "homes/sluice-house/parts/cellar-filter/changed",
    "homes/sluice-house/parts/dryer-dryer-duct/identity",
    "homes/sluice-house/units/purifier/note",
  ];
  /** Writes a sign that is no figure and no day into all that is typed, or empties it, and sends it. */
  const SPOIL = `
    const [nth, word, done] = arguments;
    const form = document.querySelectorAll("main form[novalidate]")[nth];
    for (const field of form.querySelectorAll("input:not([type]), input[type=text], input[type=tel], textarea")) {
      const proto = field.matches("textarea") ? HTMLTextAreaElement : HTMLInputElement;
      Object.getOwnPropertyDescriptor(proto.prototype, "value").set.call(field, word);
      field.dispatchEvent(new Event("input", { bubbles: true }));
    }
    document.activeElement?.blur();
    const before = location.href;
    const commandId = () => form.querySelector("[name=command-id]")?.value;
    const named = commandId();
    form.requestSubmit();
    const until = Date.now() + 15000;
    const look = () => {
      const at = document.activeElement;
      const isNamed = form.contains(at) && (at.closest("[aria-invalid]") || at.matches("[role=status]"));
      if (isNamed && at.getClientRects().length > 0) return done("named");
      if (location.href !== before || !form.isConnected || commandId() !== named) return done("saved");
      if (Date.now() > until) return done("silent: " + form.innerText.slice(-200));
      setTimeout(look, 20);
    };
    look();`;

  it.each(FORMS)("no form refuses without naming and focusing a field: %s", async (address) => {
    const count = async () => {
      await page.open(`${app.url}/${address}`);
      return browser.driver.executeScript<number>(
        "return document.querySelectorAll('main form[novalidate]').length",
      );
    };
    const forms = await count();
    expect(forms).toBeGreaterThan(0);
    for (let nth = 0; nth < forms; nth++) {
      if (nth > 0) await count();
      const answer = await browser.driver.executeAsyncScript<string>(SPOIL, nth, "🪟");
      expect(answer).toMatch(/^(named|saved)$/);
    }
  });

  it("an address with nothing at it", async () => {
    await page.open(`${app.url}/homes/nowhere`);
    await page.heading("There is nothing at this address");
    await page.press("Back to Today");
    await page.heading("One thing is left open");
  });
});
