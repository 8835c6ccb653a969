import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { Builder, type WebDriver } from "selenium-webdriver";
import chrome from "selenium-webdriver/chrome";

const FLAGS = [
  "--headless=new",
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
  const profile = mkdtempSync(path.join(tmpdir(), "amber-browser-"));
  const options = new chrome.Options();
  options.setChromeBinaryPath("/usr/bin/chromium");
  options.addArguments(...FLAGS, `--user-data-dir=${profile}`);
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
  const quit = async () => {
    await driver.quit();
    rmSync(profile, { recursive: true, force: true });
  };
  return { driver, resize, quit };
}
