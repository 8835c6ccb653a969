import { By } from "selenium-webdriver";
import { startApp, type AppServer } from "./app-server";
import { openBrowser, type Browser, type Size } from "./browser";
import { pageOf, type Page } from "./page";

/** The demo in a browser. */
export type InDemo = { app: AppServer; browser: Browser; page: Page };

/** Starts the demo in a browser of a size before the tests of a group, and stops both after them. */
export function inDemo(size: Size): {
  demo: InDemo;
  text: (css: string) => Promise<string>;
} {
  const demo = {} as InDemo;
  beforeAll(async () => {
    demo.app = await startApp("demo");
    demo.browser = await openBrowser(size);
    demo.page = pageOf(demo.browser.driver);
  });
  afterAll(async () => {
    await demo.browser?.quit();
    await demo.app?.stop();
  });
  return { demo, text: async (css) => (await demo.page.find(By.css(css))).getText() };
}
