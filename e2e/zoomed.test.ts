import { By, Key } from "selenium-webdriver";
import { doing } from "./doing";
import { inDemo } from "./in-demo";
import type { Size } from "./browser";

/** A desk of 1280 by 800 magnified to twice its size. */
const ZOOMED: Size = { width: 640, height: 400 };
const HOME = "/homes/sluice-house";
const STEPS = 30;
/** How much of the height a bar at the foot may take. */
const MOST_OF_IT = 0.25;

/** Whether what has the focus lies under something else, or out of sight; what it is, else null. */
const COVERED = `
  const at = document.activeElement;
  if (!at || at === document.body || at.closest("[role=dialog]")) return null;
  const seen = at.matches("input[type=radio], input[type=checkbox], input[type=file]")
    ? (at.closest("label") ?? at) : at;
  const { left, top, right, bottom } = seen.getBoundingClientRect();
  if (right - left < 2 || bottom - top < 2) return null;
  const tall = bottom - top > innerHeight / 2;
  const y = tall ? Math.max(top, 0) + 8 : (top + bottom) / 2;
  const found = document.elementFromPoint((left + right) / 2, y);
  const isFree = found !== null && (seen.contains(found) || found.contains(seen));
  return isFree ? null : (at.innerText || at.name || at.outerHTML).slice(0, 80);`;

/** The words of an element that stand on more than one line. */
const BROKEN_WORDS = `
  const texts = document.createTreeWalker(arguments[0], NodeFilter.SHOW_TEXT);
  const broken = [];
  while (texts.nextNode())
    for (const { 0: word, index } of texts.currentNode.textContent.matchAll(/[\\w’]+/g)) {
      const range = document.createRange();
      range.setStart(texts.currentNode, index);
      range.setEnd(texts.currentNode, index + word.length);
      if (new Set([...range.getClientRects()].map(({ top }) => top)).size > 1) broken.push(word);
    }
  return broken;`;

describe("at twice the size", () => {
  const { demo } = inDemo(ZOOMED);
  const driver = () => demo.browser.driver;

  it.each([
    ["Today", HOME],
    ["a unit", `${HOME}/units/cellar-furnace`],
    ["all jobs", `${HOME}/jobs`],
    ["a slot's form", `${HOME}/parts/cellar-filter/edit`],
    ["the household", `${HOME}/household`],
  ])("no bar lies over what has the focus: %s", async (_name, path) => {
    await demo.page.open(demo.app.url + path);
    const covered: string[] = [];
    for (let step = 0; step < STEPS; step++) {
      await driver().actions().sendKeys(Key.TAB).perform();
      const what = await driver().executeScript<string | null>(COVERED);
      if (what !== null) covered.push(what);
    }
    expect(covered).toEqual([]);
    expect(await demo.page.scrollsSideways()).toBe(false);
  });

  it("a run’s foot leaves room for the step", async () => {
    const run = doing(demo.browser, demo.page);
    await demo.page.open(`${demo.app.url}${HOME}/parts/cellar-filter`);
    await demo.page.press("Change it");
    await run.start("Change: start");
    for (const heading of ["Have the new filter", "Compare the printed sizes"]) {
      await run.at(heading);
      const share = await driver().executeScript<number>(
        "return document.querySelector('footer').getBoundingClientRect().height / innerHeight",
      );
      expect(share).toBeLessThanOrEqual(MOST_OF_IT);
      await demo.page.keys(Key.SPACE);
    }
  });

  it("a word said in passing is never broken in two", async () => {
    await demo.page.open(`${demo.app.url}${HOME}/contacts`);
    await (await demo.page.find(By.css("button[aria-label^='Remove:']"))).click();
    const toast = await demo.page.find(By.css("[data-sonner-toast]"));
    expect(await toast.getText()).toContain("Removed: ");
    const broken = await driver().executeScript<string[]>(BROKEN_WORDS, toast);
    expect(broken).toEqual([]);
  });
});
