import { By } from "selenium-webdriver";
import { openStore } from "@/db/client";
import { insertPlan } from "@/db/repositories/year";
import { addDays, plainDate } from "@/core/quantities/plain-date";
import { PHONE } from "./browser";
import { doing } from "./doing";
import { inDemo } from "./in-demo";

const HOME = "/homes/sluice-house";
const today = plainDate("2026-03-14");
const JOBS = [
  "cellar-furnace-condensate-trap.flush",
  "cellar-furnace-drain-pan.wipe",
  "cellar-furnace-blower.clean",
];

/** Three jobs at one machine, on one day: its power goes off once for all of them. */
describe("a round on a phone", () => {
  const { demo, text } = inDemo(PHONE);
  const led = () => doing(demo.browser, demo.page);
  /** What is done between power off and power on, by what the round calls the job. */
  const between: Record<string, () => Promise<void>> = {
    "rinse and refill the trap": async () => {
      const { through, see } = led();
      await through("Take the door off", "Draw the trap off over a bucket");
      await through("Rinse it until it is clear", "Fill it with clean water");
      await through("Put it back, its hoses as they were");
      await see("Pour a cup through and watch it run", "clear");
      await through("Put the door back");
    },
    "wipe the pan, lift the float": async () => {
      const { through, see } = led();
      await through("Take the panel off", "Wipe the pan dry");
      await see("Pour a cup in, watch it leave", "clear");
      await through("Put the panel back");
    },
    "vacuum the blower": async () => {
      const { through, see } = led();
      await through("Take the blower’s door off");
      await see("How do the blades look?", "Clean, or dusted");
      await through("Vacuum wheel and housing", "Vacuum the motor’s openings");
      await through("Put the blower’s door back");
    },
  };
  const started = async () => {
    const begin = By.xpath("//main//button[contains(normalize-space(.), ': start')]");
    await led().start(await (await demo.page.find(begin)).getText());
  };
  const whenOn: Record<string, string> = {
    "rinse and refill the trap": "Look below it after ten minutes of running",
    "wipe the pan, lift the float": "Lift the float by hand while it cools",
    "vacuum the blower": "Hear it run",
  };
  let order: string[] = [];

  it("says the order, one power-down for all, what to bring, and prints", async () => {
    const store = await openStore(demo.app.file);
    const days = JOBS.map((task) => ({ task, n: 1, day: today }));
    const plan = { id: "three", version: 1, madeOn: today, horizonEnd: addDays(today, 365), days };
    await store.write((tx) =>
      insertPlan(
        tx,
        "sluice-house",
        { ...plan, publishedAt: "2026-03-14T07:00:00Z" },
        "2026-03-14T07:00:00Z",
      ),
    );
    store.close();
    await demo.page.open(`${demo.app.url}${HOME}/year/2026-03-14/owner`);
    await demo.page.heading("Round of Sat 14 Mar");
    const sheet = await text("section[aria-label='In this order']");
    expect(sheet.match(/Cellar furnace off, once for all of it/g)).toHaveLength(1);
    expect(sheet.match(/Cellar furnace on again/g)).toHaveLength(1);
    order = await demo.browser.driver.executeScript<string[]>(
      "return [...document.querySelectorAll('section[aria-label=\"In this order\"] li[data-state] a')].map((a) => a.innerText.toLowerCase())",
    );
    expect([...order].sort()).toEqual(Object.keys(between).sort());
    expect(await text("section[aria-label='Before you begin']")).toContain("Cellar furnace");
    expect(await demo.page.scrollsSideways()).toBe(false);
    expect(await demo.page.axe()).toEqual([]);
  });

  it("leads through its first job, and leaves the power off for the next", async () => {
    await demo.page.press("Start the round");
    await started();
    await led().through("Switch the power off");
    await between[order[0]!]!();
    await demo.page.heading(`Leave it off for “${order[1]!}”`);
    await demo.page.press("Leave it off, go on");
    await led().finish();
    expect(await text("section[aria-label=Next]")).toContain("Next in the round, 2 left");
    expect(await text("main")).toContain("Still open: power off");
  });

  it("is interrupted there, and stands on Today after the server was killed, open end and all", async () => {
    await demo.app.kill();
    await demo.app.start();
    await demo.page.open(`${demo.app.url}${HOME}`);
    const round = await text("section[aria-label='The round under way']");
    expect(round).toContain("2 jobs left");
    const strip = await text("main");
    expect(strip).toContain("power off");
    expect(strip).toContain("later in the round");
    await demo.page.press("Go on with it");
    await demo.page.heading("Round of Sat 14 Mar");
    expect(await text("section[aria-label='In this order']")).toContain("2 of 3 left");
  });

  it("is carried on: the second job finds it off, the third puts it back, and each counts", async () => {
    for (const [i, name] of order.slice(1).entries()) {
      await demo.page.follow("Next: ");
      await started();
      await led().through("See that the power is still off");
      await between[name]!();
      if (i === 0) {
        await demo.page.heading(`Leave it off for “${order[2]!}”`);
        await demo.page.press("Leave it off, go on");
      } else {
        await led().through("Switch the power on");
        // What wants the power on is looked at in the end: the last job’s own, and what those before owe.
        await led().through(whenOn[name]!);
      }
      await led().finish();
      if (i === 1) {
        const owed = await text("main");
        for (const earlier of order.slice(0, -1))
          expect(owed).toContain(whenOn[earlier]!.toLowerCase());
      }
      await demo.page.open(`${demo.app.url}${HOME}/year/2026-03-14/owner`);
    }
    expect(await text("section[aria-label='In this order']")).toContain("0 of 3 left");
    await demo.page.press("All done: close the round");
    await demo.page.seen("Over: 3 of 3 done");
    await demo.page.open(`${demo.app.url}${HOME}/units/cellar-furnace`);
    expect(await text("main")).not.toContain("power off");
    const errors = (await demo.page.consoleErrors()).filter((each) => !each.includes("ERR_"));
    expect(errors).toEqual([]);
  });
});
