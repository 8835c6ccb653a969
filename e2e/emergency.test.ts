import { writeFileSync } from "node:fs";
import path from "node:path";
import { By } from "selenium-webdriver";
import sharp from "sharp";
import { EMERGENCIES } from "../src/content/emergencies";
import { DESK, PHONE } from "./browser";
import { doing } from "./doing";
import { inDemo } from "./in-demo";

const HOME = "/homes/sluice-house";

describe.each([
  ["a phone", PHONE],
  ["a desk", DESK],
])("an emergency, on %s", (_, size) => {
  const { demo, text } = inDemo(size);

  it("is one press from any page; each has three lines, a number, a shut-off, and is noted", async () => {
    for (const path of ["", "/parts/cellar-filter", "/year", "/units/alarm-upper"]) {
      await demo.page.open(demo.app.url + HOME + path);
      await demo.page.find(By.xpath("//header//a[normalize-space(.)='Emergency']"));
    }
    await demo.page.press("Emergency");
    await demo.page.heading("What is it?");
    expect(await demo.page.axe()).toEqual([]);
    for (const { line, title, steps } of EMERGENCIES) {
      await demo.page.open(`${demo.app.url}/emergency/sluice-house`);
      await demo.page.follow(line);
      await demo.page.heading(title);
      const sheet = await text("main");
      for (const step of steps) expect(sheet).toContain(step);
      expect(sheet).toContain("Note it, once all are safe");
      await demo.page.find(By.css("section[aria-label='Shut-off']"));
      // Pressed it calls; where nobody wrote one down it can be, there and then.
      await demo.page.find(
        By.css("section[aria-label='Whom to call'] a[href^='tel:+'], input[name=phone]"),
      );
      expect(await demo.page.scrollsSideways()).toBe(false);
      expect(await demo.page.axe()).toEqual([]);
    }
  });

  it("tells an alarm that chirps from one that sounds, at the alarm and on its page", async () => {
    await demo.page.open(`${demo.app.url}${HOME}/units/alarm-upper`);
    await demo.page.follow("It sounds: everybody out");
    await demo.page.heading("CO alarm: everybody out, now");
    await demo.page.press("It only chirps");
    await demo.page.heading("What did you notice?");
    const chosen = await demo.page.find(By.css("label:has(input:checked)"));
    expect(await chosen.getText()).toContain("An alarm chirps");
  });

  it("is what is found first, by whatever word comes to mind", async () => {
    for (const [word, title] of [
      ["carbon monoxide", "CO alarm: everybody out, now"],
      ["beeps", "CO alarm: everybody out, now"],
      ["smoke", "Fire: everybody out, now"],
    ] as const) {
      const query = `/api/v1/homes/sluice-house/find?q=${encodeURIComponent(word)}`;
      const { found } = (await (await fetch(demo.app.url + query)).json()) as {
        found: { href: string }[];
      };
      expect(found[0]!.href).toMatch(/^\/emergency\//);
      await demo.page.open(demo.app.url + found[0]!.href);
      await demo.page.heading(title);
    }
  });

  it("keeps a number that was missing, and calls it from then on", async () => {
    await demo.page.open(`${demo.app.url}/emergency/sluice-house/fire`);
    await demo.page.type("Not written down yet", "call me");
    await demo.page.press("Keep this number");
    expect(await demo.page.problemAt("Not written down yet")).not.toBe("");
    await demo.page.type("Not written down yet", "+99 555 0110");
    await demo.page.press("Keep this number");
    await demo.page.find(By.css("a[href='tel:+995550110']"));
    await demo.page.open(`${demo.app.url}/emergency/sluice-house/shock`);
    await demo.page.find(By.css("a[href='tel:+995550110']"));
  });

  it("takes a picture of the main shut-off, and shows it from then on", async () => {
    await demo.page.open(`${demo.app.url}/emergency/sluice-house/gas`);
    await demo.page.press("Write it down, now or once it is over");
    const file = path.join(path.dirname(demo.app.file), "valve.jpg");
    const plain = { width: 60, height: 40, channels: 3, background: "#abc" } as const;
    writeFileSync(file, await sharp({ create: plain }).jpeg().toBuffer());
    await (await demo.browser.driver.findElement(By.css("input[type=file]"))).sendKeys(file);
    await demo.page.find(By.css("section[aria-label='Shut-off'] img"));
  });

  it("is at hand in a run, which waits meanwhile", async () => {
    const run = doing(demo.browser, demo.page);
    await demo.page.open(`${demo.app.url}${HOME}/jobs/yard-condenser-base-drain.clear/start`);
    await run.start("Clear: start");
    await run.at("Pull its disconnect");
    await demo.page.press("Emergency");
    await demo.page.press("It sparks, or smells burnt");
    await demo.page.seen("Its breaker off; do not touch the machine.");
  });
});
