import { By } from "selenium-webdriver";
import type { Page } from "./page";

const PAST = "When was it last done?";

/** From the parts of a machine to the end of entering it: what nobody knows of its past is passed over with one press. */
export async function endEntering(page: Page): Promise<void> {
  await page.press("Next");
  const head = async () => (await page.find(By.css("h1"))).getText();
  await page.until(async () => [PAST, "What is due first"].includes(await head().catch(() => "")));
  if ((await head()) === PAST) await page.press("Go on");
  await page.heading("What is due first");
}
