import { existsSync } from "node:fs";
import { Builder, type WebDriver } from "selenium-webdriver";
import chrome from "selenium-webdriver/chrome";

/**
 * Chromium without a window where that is installed, else the whole of it. Not by its name in the path: that is a
 * script, and the driver would end the script and leave the browser.
 */
const SHELL = "/usr/lib/chromium/chromium-headless-shell";
const [BINARY, HEADLESS] = existsSync(SHELL)
  ? ([SHELL, "--headless"] as const)
  : (["/usr/bin/chromium", "--headless=new"] as const);

const FLAGS = [
  HEADLESS,
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
  "--disable-extensions",
  "--disable-component-extensions-with-background-pages",
  // Its own menus are pages too, drawn beforehand for a window that nobody sees.
  "--disable-features=PreloadTopChromeWebUI",
  "--hide-scrollbars",
  // A device of one language everywhere: a home’s form begins with its units and its money.
  "--accept-lang=en-IE",
];

/** How often a condition is looked at that is waited for, ms. */
const POLL_MS = 80;

export type Size = { width: number; height: number };
export const DESK: Size = { width: 1280, height: 800 };
export const PHONE: Size = { width: 390, height: 844 };

export type Browser = {
  driver: WebDriver;
  resize: (size: Size) => Promise<void>;
  quit: () => Promise<void>;
};

/** A fresh headless browser of an exact viewport, with a profile of its own. */
export async function openBrowser(size: Size = DESK, dark = false): Promise<Browser> {
  const options = new chrome.Options();
  options.setChromeBinaryPath(BINARY);
  options.addArguments(...FLAGS);
  options.setLoggingPrefs({ browser: "ALL" });
  const driver = await new Builder()
    .forBrowser("chrome")
    .setChromeOptions(options)
    .setChromeService(new chrome.ServiceBuilder("/usr/bin/chromedriver"))
    .build();
  // The driver looks five times a second unless told otherwise, and most of a test is waiting for its look.
  const wait = driver.wait.bind(driver);
  driver.wait = ((condition: () => unknown, timeout?: number, message?: string) =>
    wait(condition, timeout, message, POLL_MS)) as typeof driver.wait;
  const chromium = driver as unknown as chrome.Driver;
  const resize = async ({ width, height }: Size) => {
    await chromium.sendDevToolsCommand("Emulation.setDeviceMetricsOverride", {
      width,
      height,
      deviceScaleFactor: 1,
      mobile: width < 600,
    });
  };
  await resize(size);
  await chromium.sendDevToolsCommand("Emulation.setEmulatedMedia", {
    features: [{ name: "prefers-color-scheme", value: dark ? "dark" : "light" }],
  });
  return { driver, resize, quit: () => driver.quit() };
}
