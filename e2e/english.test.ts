import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import type { UnitSystem } from "@/core/quantities/length";
import { UNIT_KIND_IDS } from "@/content/unit-kinds";
import { migrateStore, openStore } from "@/db/client";
import { enterHome } from "../scripts/demo-data";
import { NOW } from "../tests/demo-template";
import { everyKind } from "../tests/every-kind";
import { AMERICAN, BRITISH } from "../tests/two-englishes";
import { startApp, type AppServer } from "./app-server";
import { openBrowser, type Browser } from "./browser";
import { pagesFrom } from "./crawl";
import { pageOf } from "./page";

const ID = new RegExp(`every-kind-(${[...UNIT_KIND_IDS].sort().reverse().join("|")})`, "g");

/** All jobs at once lead to each of them. */
const STARTS = ["/homes/every-kind", "/homes/every-kind/jobs?jobs-all=true&waiting-all=true"];

/**
 * Of a part, and of a job and its beginning, one of each kind is read, of every other page one of each address. What
 * is written here is British as it stands: there one page of each address will do.
 */
const shapeIn =
  (unitSystem: UnitSystem) =>
  (found: string): string | null => {
    if (!/^\/(homes|runs|emergency|welcome)/.test(found)) return null;
    const shape = found.replace(ID, "id").replace(/=[^&]*/g, "=");
    return unitSystem === "us" &&
      /^\/homes\/every-kind\/(parts\/[^/]*|jobs\/[^/]*|jobs\/[^/]*\/start)$/.test(shape)
      ? shape
      : shape.replace(/id-[^/?]*/g, "id").replace(/procedures\/[^/?]*/, "procedures/id");
  };

describe.each([
  ["us", BRITISH, 300],
  ["metric", AMERICAN, 60],
] as const)("the pages of a home in %s", (unitSystem, foreign, least) => {
  let app: AppServer;
  let browser: Browser;
  let folder: string;

  beforeAll(async () => {
    folder = mkdtempSync(path.join(tmpdir(), "amber-english-"));
    const file = path.join(folder, "test.db");
    const store = await openStore(file);
    await migrateStore(store);
    await store.write((tx) => enterHome(tx, everyKind("every-kind", unitSystem), new Date(NOW)));
    store.close();
    app = await startApp({ file });
    browser = await openBrowser();
  });
  afterAll(async () => {
    await browser?.quit();
    await app?.stop();
    rmSync(folder, { recursive: true, force: true });
  });

  it("read in its own English, with a machine of every kind, and none fails", async () => {
    await pageOf(browser.driver).open(`${app.url}/homes/every-kind`);
    const pages = await pagesFrom(browser.driver, STARTS, shapeIn(unitSystem));
    expect(pages.length).toBeGreaterThan(least);
    expect(pages.filter(({ status }) => status !== 200).map((page) => page.path)).toEqual([]);
    const found = pages.flatMap(({ path: at, texts }) =>
      texts.filter((text) => foreign.test(text)).map((text) => `${at}: ${text}`),
    );
    expect(found).toEqual([]);
  });
});
