import { By, Key } from "selenium-webdriver";
import type { Browser } from "./browser";
import type { Page } from "./page";

/** How a person goes through a job: prepared, step by step, with the keys. */
export function doing({ driver }: Browser, page: Page) {
  /** Ticks whatever is asked beforehand, and begins. */
  const start = async (submit: string) => {
    await page.find(By.xpath(`//button[normalize-space(.)="${submit}"]`));
    for (const box of await driver.findElements(By.css("input[name^=check-]")))
      if (!(await box.isSelected())) {
        await driver.executeScript("arguments[0].scrollIntoView({ block: 'center' })", box);
        await box.click();
      }
    // What only the place can answer: the first answer, unless it is remembered.
    for (const group of await driver.findElements(By.css("[role=radiogroup]:has([name^=ask-])")))
      if ((await group.findElements(By.css("input:checked"))).length === 0)
        await (await group.findElement(By.css("label"))).click();
    await page.press(submit);
  };
  /** A step takes the focus once its keys are heard: until then a press would be lost. */
  const at = async (heading: string) => {
    await page.heading(heading);
    await driver.wait(
      async () =>
        (
          await driver.executeScript<string>("return document.activeElement?.textContent ?? ''")
        ).includes(heading),
      15_000,
      `Never focused: ${heading}`,
    );
  };
  /** Presses a key at a step that has the focus: it is heard at once. */
  const key = (which: string) => driver.actions().sendKeys(which).perform();
  /** Done, one step after the other, with the space bar. */
  const through = async (...headings: string[]) => {
    for (const heading of headings) {
      await at(heading);
      await key(Key.SPACE);
    }
  };
  /** Down to the filter in the hand: its size compared while it is wrapped, power off, slot open, out. */
  const filterOut = () =>
    through(
      "Have the new filter",
      "Compare the printed sizes",
      "Switch the power off",
      "Open the slot",
      "Pull the old filter out",
    );
  /** Up again once the slot is shut: power, air, and the thermostat as it was. */
  const airAgain = () =>
    through("Switch the power on", "Call for air, and hear it start", "Set the thermostat back");
  /** Chooses what comes nearest, and goes on. */
  const see = async (heading: string, ...choices: string[]) => {
    await at(heading);
    for (const choice of choices) await page.tick(choice);
    await page.keys(Key.SPACE);
  };
  const leaveOpen = async (heading: string, words: string) => {
    await at(heading);
    await key("o");
    await page.type("In your words", words);
    await page.press("Leave it so");
  };
  const finish = async () => {
    await page.press("Finish");
    await page.heading("Done");
  };
  const text = async (css: string) => (await page.find(By.css(css))).getText();
  /** How many ends are open; none is said in no words on a phone. */
  const openCount = () => driver.findElement(By.css("[data-open]")).getAttribute("data-open");
  return { start, at, through, filterOut, airAgain, see, leaveOpen, finish, text, openCount };
}
