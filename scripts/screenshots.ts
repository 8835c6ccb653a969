/** npm run screenshots: the pictures in docs/screenshots, one for each main view, from the demo. */
import { mkdirSync, writeFileSync } from "node:fs";
import { By, Key } from "selenium-webdriver";
import { startApp } from "../e2e/app-server";
import { DESK, openBrowser, PHONE, type Size } from "../e2e/browser";
import { pageOf, type Page } from "../e2e/page";

const FOLDER = "docs/screenshots";
const HOME = "/homes/sluice-house";
const SETTLE_MS = 900;

type Picture = {
  name: string;
  size: Size;
  dark?: boolean;
  path: string;
  then?: (page: Page) => Promise<void>;
};

const toTheLook = async (page: Page) => {
  await page.press("Change it");
  await page.tick(
    "The new filter is here in the right size, or a sheet to cut to size as a stopgap",
  );
  await page.press("Change: start");
  for (const heading of [
    "Have the new filter",
    "Compare the printed sizes",
    "Switch the power off",
    "Open the slot",
    "Pull the old",
  ]) {
    await page.heading(heading);
    await page.keys(Key.SPACE);
  }
  await page.heading("How does the old one look?");
};

/** A ventilator entered as far as its filters. */
const toItsFilters = async (page: Page) => {
  await page.tick("Ventilator with heat recovery");
  await page.press("Go on");
  await page.heading("What is on its plate?");
  await page.type("Name", "Gable ventilator");
  for (const next of [
    "Where does it stand?",
    "How is it shut off?",
    "Where does its filter sit?",
  ]) {
    await page.press("Next");
    await page.heading(next);
  }
};

const PICTURES: Picture[] = [
  { name: "today", size: DESK, path: HOME },
  { name: "today-phone", size: PHONE, path: HOME },
  { name: "house", size: DESK, path: `${HOME}/house` },
  { name: "unit", size: DESK, path: `${HOME}/units/cellar-furnace` },
  { name: "year", size: DESK, path: `${HOME}/year` },
  { name: "part", size: DESK, path: `${HOME}/parts/cellar-filter` },
  {
    name: "find",
    size: DESK,
    path: HOME,
    then: async (page) => {
      await (await page.find(By.css("button[aria-keyshortcuts='/']"))).click();
      await (await page.find(By.css("[cmdk-input]"))).sendKeys("gas");
    },
  },
  { name: "add-phone", size: PHONE, path: `${HOME}/units/new`, then: toItsFilters },
  { name: "round-phone", size: PHONE, path: `${HOME}/year/2026-04-05/owner` },
  {
    name: "readings",
    size: DESK,
    path: `${HOME}/parts/cellar-furnace-capacitor`,
  },
  { name: "shut-offs", size: DESK, path: `${HOME}/shut-offs` },
  { name: "watch", size: DESK, path: `${HOME}/watch` },
  { name: "costs", size: DESK, path: `${HOME}/units/cellar-furnace/costs` },
  { name: "emergency", size: DESK, path: "/emergency/sluice-house/co" },
  { name: "emergency-phone", size: PHONE, path: "/emergency/sluice-house" },
  {
    name: "walk-phone",
    size: PHONE,
    path: `${HOME}/walk/room-ground-hall`,
    then: async (page) => {
      await page.tick("A filter behind a grille in the ceiling");
    },
  },
  { name: "noticed-phone", size: PHONE, path: `${HOME}/noticed` },
  {
    name: "run-phone",
    size: PHONE,
    path: `${HOME}/parts/cellar-filter`,
    then: async (page) => {
      await toTheLook(page);
      await page.tick("loaded");
      await page.scrollTo(await page.find(By.css("body")));
    },
  },
  {
    name: "run",
    size: DESK,
    path: `${HOME}/parts/cellar-filter`,
    then: async (page) => {
      await page.press("Carry on");
      await page.tick("loaded");
      await page.press("Loaded, go on");
      await page.heading("Did dust get past");
      await page.tick("No, its edges are clean");
      await page.keys(Key.SPACE);
      for (const heading of ["What lies", "Wipe"]) {
        await page.heading(heading);
        await page.keys(Key.SPACE);
      }
      await page.heading("Slide it in");
    },
  },
];

async function main(): Promise<void> {
  mkdirSync(FOLDER, { recursive: true });
  const wanted = process.argv.slice(2);
  const app = await startApp("demo");
  for (const { name, size, dark, path, then } of PICTURES) {
    const browser = await openBrowser(size, dark);
    const page = pageOf(browser.driver);
    await page.open(app.url + path);
    await page.find(By.css("h1"));
    await then?.(page);
    await new Promise((resolve) => setTimeout(resolve, SETTLE_MS));
    if (wanted.length === 0 || wanted.includes(name))
      writeFileSync(`${FOLDER}/${name}.png`, await browser.driver.takeScreenshot(), "base64");
    await browser.quit();
  }
  await app.stop();
}

void main();
