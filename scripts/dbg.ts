import { mkdirSync, writeFileSync } from "node:fs";
import { DESK, openBrowser, PHONE } from "../e2e/browser";
import { pageOf } from "../e2e/page";
// args: "name|d or p|path|js;;js2|dark"
const base = process.argv[2]!;
mkdirSync("/tmp/shots", { recursive: true });
const main = async () => {
  for (const spec of process.argv.slice(3)) {
    const [name, size, path, js, dark] = spec.split("|");
    const browser = await openBrowser(size === "p" ? PHONE : DESK, Boolean(dark));
    try {
      
      
      const page = pageOf(browser.driver);
      await page.open(base + path);
      await new Promise((r) => setTimeout(r, 900));
      for (const step of (js ?? "").split(";;").filter(Boolean)) {
        if (step.startsWith("press:")) await page.press(step.slice(6));
        else if (step.startsWith("key:")) await page.keys(step.slice(4) === "space" ? "\uE00D" : step.slice(4));
        else if (step.startsWith("tick:")) await page.tick(step.slice(5));
        else if (step.startsWith("type:")) { const [l, v] = step.slice(5).split("="); await page.type(l!, v!); }
        else await browser.driver.executeScript(step);
        await new Promise((r) => setTimeout(r, 700));
      }
      writeFileSync(`/tmp/shots/${name}.png`, Buffer.from(await browser.driver.takeScreenshot(), "base64"));
      const overflow = await browser.driver.executeScript("return document.documentElement.scrollWidth > innerWidth");
      console.log(name, await browser.driver.getCurrentUrl(), overflow ? "SIDEWAYS" : "");
    } finally { await browser.quit(); }
  }
};
void main();
