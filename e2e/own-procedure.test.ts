import { By } from "selenium-webdriver";
import { startApp, type AppServer } from "./app-server";
import { DESK, openBrowser, type Browser } from "./browser";
import { doing } from "./doing";
import { pageOf, type Page } from "./page";

const SLUICE = "/homes/sluice-house";

describe("a procedure of one’s own", () => {
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

  const wrong = async () =>
    Promise.all(
      (await browser.driver.findElements(By.css("[data-wrong]"))).map((step) => step.getText()),
    );

  it("is copied, refused with its reason, mended, and led; the library’s stays", async () => {
    await page.open(`${app.url}${SLUICE}/procedures/rinse-trap`);
    await page.press("Copy it and change it");
    await page.heading("Our way: Rinse and refill the trap");
    await page.type("What it is called", "The trap, as the manual has it");
    // The step that puts the door back is taken out.
    await page.press("Take out: Put the door back");
    await page.press("Keep it");
    await browser.driver.wait(async () => (await wrong()).length > 0, 15_000);
    const said = (await wrong()).join(" ");
    expect(said).toContain("What it switches off, opens or takes out is put back by no step.");
    expect(said).toContain("Add a step behind it that puts it back.");
    // What was typed is still there; a step is added behind the test of the drain, and puts the door back.
    expect(await (await page.field("What it is called")).getAttribute("value")).toBe(
      "The trap, as the manual has it",
    );
    await page.press("Add one below: Pour a cup through and watch it run");
    const fresh = await page.field("Step 8");
    expect(await fresh.getAttribute("value")).toBe("");
    await fresh.sendKeys("Hang the door on its hooks");
    const row = await browser.driver.findElement(By.css("[data-step]:nth-child(8)"));
    const select = async (label: string, option: string) => {
      const id = await row
        .findElement(By.xpath(`.//label[normalize-space(.)="${label}"]`))
        .getAttribute("for");
      const field = await browser.driver.findElement(By.id(id!));
      await (await field.findElement(By.xpath(`./option[.="${option}"]`))).click();
    };
    await select("It", "puts back or on");
    await select("It puts back", "door");
    await page.press("Keep it");
    await page.heading("The trap, as the manual has it");
    await page.seen("Cellar furnace: rinse and refill the trap");

    const run = doing(browser, page);
    await page.open(`${app.url}${SLUICE}/jobs/cellar-furnace-condensate-trap.flush/start`);
    await page.heading("Which way");
    await page.press("Read all its steps first");
    await page.seen("Copy it and change it");
    expect(await (await page.find(By.css("main"))).getText()).toContain("Put the door back");
    await page.open(`${app.url}${SLUICE}/jobs/cellar-furnace-condensate-trap.flush/start`);
    await page.follow("The trap, as the manual has it");
    await run.start("Rinse: start");
    await run.at("Switch the power off");
  });

  it("takes no licensed work for an owner, whatever it is called", async () => {
    await page.open(`${app.url}${SLUICE}/procedures/new`);
    await page.type("What it is called", "Our capacitor");
    await page.type("Step 2", "Measure the capacitor");
    await page.press("Keep it");
    await browser.driver.wait(async () => (await wrong()).length > 0, 15_000);
    expect((await wrong()).join(" ")).toContain("By its words this is licensed work");
    await page.type("Step 2", "Wipe the cover");
    await page.press("Keep it");
    await page.heading("Our capacitor");
    await page.press("Change it");
    await page.heading("Our capacitor");
    await page.press("Remove Our capacitor");
    await page.heading("How each job is done");
    expect(await (await page.find(By.css("main"))).getText()).not.toContain("Our capacitor");
    await page.open(`${app.url}${SLUICE}/removed`);
    await page.seen("Our capacitor");
  });
});
