import { randomBytes, randomUUID } from "node:crypto";
import { get, type IncomingHttpHeaders } from "node:http";
import { mkdtempSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { By } from "selenium-webdriver";
import sharp from "sharp";
import { madeUpPlan } from "@/core/planning/plan-instances";
import { openStore } from "@/db/client";
import { listRunEvents } from "@/db/repositories/runs";
import { KNOWN_NAME, startApp, type AppServer } from "./app-server";
import { openBrowser, type Browser } from "./browser";
import { doing } from "./doing";
import { pageOf } from "./page";

describe("the application over HTTP", () => {
  let app: AppServer;
  let browser: Browser;
  beforeAll(async () => {
    app = await startApp("demo");
    browser = await openBrowser();
  });
  afterAll(async () => {
    await browser?.quit();
    await app?.stop();
  });

  const post = (path: string, body: unknown, headers: Record<string, string> = {}) =>
    fetch(app.url + path, {
      method: "POST",
      headers: { "content-type": "application/json", ...headers },
      body: JSON.stringify(body),
    });
  const climate = {
    climate: {
      monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
      heatingDesignC: -24,
      coolingDesignMeanC: 26,
    },
    from: "2026-01-15",
    to: "2026-01-15",
  };

  it("finds by size and by word, and nothing of another home", async () => {
    const find = async (home: string, query: string) =>
      (await fetch(`${app.url}/api/v1/homes/${home}/find?q=${encodeURIComponent(query)}`)).json();
    expect(await find("sluice-house", "500×500")).toMatchObject({
      found: [{ group: "Takes this size", href: "/homes/sluice-house/parts/cellar-filter" }],
    });
    expect(await find("boathouse", "500×500")).toEqual({ found: [] });
    expect(await find("sluice-house", "panel filter")).toMatchObject({
      found: expect.arrayContaining([expect.objectContaining({ group: "How it is done" })]),
    });
    expect(await find("nowhere", "furnace")).toEqual({ found: [] });
  });

  it("computes what the command line computes, with the same errors", async () => {
    const good = await post("/api/v1/compute/climate", climate);
    expect(good.status).toBe(200);
    expect(await good.json()).toMatchObject({ days: [{ meanC: -9 }] });
    const bad = await post("/api/v1/compute/climate", { ...climate, to: "2025-01-15" });
    expect(bad.status).toBe(400);
    expect(await bad.json()).toEqual({
      error: { code: "invalid-input", message: "ends before it starts", path: ["to"] },
    });
    expect((await post("/api/v1/compute/nothing", {})).status).toBe(404);
  });

  it("takes only JSON where it takes JSON, a megabyte of it at most, in the words of the command line", async () => {
    const plain = await post("/api/v1/compute/climate", climate, { "content-type": "text/plain" });
    expect(plain.status).toBe(415);
    const long = await post("/api/v1/compute/climate", { ...climate, note: "x".repeat(1_100_000) });
    expect(long.status).toBe(413);
    const deep = await fetch(`${app.url}/api/v1/compute/climate`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: `${"[".repeat(200_000)}${"]".repeat(200_000)}`,
    });
    expect([deep.status, await deep.json()]).toEqual([
      400,
      {
        error: expect.objectContaining({ code: "invalid-input", message: "nested deeper than 32" }),
      },
    ]);
  });

  it("computes aside: what takes for ever is given up, and holds no page up meanwhile", async () => {
    const heavy = post("/api/v1/compute/plan", {
      ...madeUpPlan("small", 1),
      iterations: 1_000_000,
    });
    const page = fetch(`${app.url}/homes/sluice-house`);
    const first = await Promise.race([heavy.then(() => "heavy"), page.then(() => "page")]);
    expect(first).toBe("page");
    const answer = await heavy;
    expect(answer.status).toBe(503);
    expect(await answer.json()).toMatchObject({ error: { code: "too-long" } });
    // The next one is computed as if nothing had been.
    expect((await post("/api/v1/compute/climate", climate)).status).toBe(200);
  });

  it("leads a phone by the name it was asked by: on a label, in a calendar; no other site shows its pictures", async () => {
    const asked = (path: string) =>
      new Promise<{ body: string; headers: IncomingHttpHeaders }>((resolve, reject) => {
        const { port } = new URL(app.url);
        const headers = { host: `${KNOWN_NAME}:${port}` };
        get({ host: "127.0.0.1", port, path, headers }, (response) => {
          let body = "";
          response.on("data", (chunk: Buffer) => (body += chunk.toString()));
          response.on("end", () => resolve({ body, headers: response.headers }));
        }).on("error", reject);
      });
    const label = await asked("/homes/sluice-house/parts/cellar-filter/label");
    expect(label.body).toContain("Code that opens its page");
    expect(label.headers["cross-origin-resource-policy"]).toBe("same-origin");
    const calendar = await asked("/api/v1/runs/demo-core-run/ready.ics");
    expect(calendar.body.replace(/\r\n /g, "")).toMatch(
      /URL;VALUE=URI:http:\/\/lintel\.lan:\d+\/runs\/demo-core-run/,
    );
  });

  it.each([
    "/homes/%ff",
    "/homes/sluice-house/units/%f0%28%8c",
    "/homes/sluice-house/parts/nowhere",
    "/homes/nowhere/house",
    "/runs/none",
    `/homes/${"a".repeat(4000)}`,
    "/homes/__proto__/look",
  ])("has a page of its own for an address of nothing: %s", async (path) => {
    const [status, body] = await new Promise<[number | undefined, string]>((resolve, reject) => {
      const { port } = new URL(app.url);
      get({ host: "127.0.0.1", port, path }, (response) => {
        let text = "";
        response.on("data", (chunk: Buffer) => (text += chunk.toString()));
        response.on("end", () => resolve([response.statusCode, text]));
      }).on("error", reject);
    });
    expect(status).toBe(404);
    // Compared by itself: a page that fails would fill the screen.
    expect(body.includes("There is nothing at this address")).toBe(true);
  });

  it("sends Today the same to all who ask, until something is written", async () => {
    const today = async () => (await fetch(`${app.url}/homes/sluice-house`)).text();
    const [first, second] = [await today(), await today()];
    // Names of presses are made anew with each page that is rendered.
    expect(second === first).toBe(true);
    const event = { id: randomUUID(), at: "2026-03-14T08:30:00.000Z", kind: "note", step: "x" };
    const path = "/api/v1/runs/demo-core-run/events";
    await post(path, { events: [{ ...event, words: "a word in passing" }] });
    const third = await today();
    expect(third === second).toBe(false);
    const known = await (await fetch(app.url + path)).json();
    expect(known).toMatchObject({ after: null });
    // A device that knows all is sent nothing again; one that knows something else, all of it.
    const asked = async (after: string) =>
      (await fetch(`${app.url}${path}?after=${after}`)).json() as Promise<{ events: object[] }>;
    expect(await asked(event.id)).toMatchObject({ after: event.id, events: [] });
    expect((await asked("of-another-time")).events).toEqual((known as { events: object[] }).events);
    const conflict = await post(path, { events: [{ ...event, words: "something else" }] });
    expect(await conflict.json()).toMatchObject({ refused: [{ id: event.id, why: "conflict" }] });
  });

  it("describes itself", async () => {
    const document = (await (await fetch(`${app.url}/api/v1/openapi.json`)).json()) as {
      paths: object;
    };
    expect(Object.keys(document.paths)).toContain("/api/v1/compute/wear");
  });

  it("lets no other site's page write", async () => {
    const foreign = await post("/api/v1/compute/climate", climate, {
      origin: "http://elsewhere.example",
    });
    expect(foreign.status).toBe(403);
    const own = await post("/api/v1/compute/climate", climate, { origin: app.url });
    expect(own.status).toBe(200);
  });

  it("sends its pages with a policy that keeps the browser at home", async () => {
    const policy = (await fetch(`${app.url}/welcome`)).headers.get("content-security-policy");
    expect(policy).toContain("default-src 'self'");
  });

  it("listens on loopback only, as long as nobody asks for more", () => {
    expect(new URL(app.url).hostname).toBe("127.0.0.1");
  });

  it("takes a picture of nearly 20 MB from a browser", async () => {
    const page = pageOf(browser.driver);
    const folder = mkdtempSync(path.join(tmpdir(), "amber-large-"));
    const file = path.join(folder, "large.png");
    const size = { width: 2480, height: 2480, channels: 3 as const };
    // Noise does not compress: 19 MB of it stay 19 MB.
    const noise = randomBytes(size.width * size.height * size.channels);
    await sharp(noise, { raw: size }).png({ compressionLevel: 1 }).toFile(file);
    expect(statSync(file).size).toBeGreaterThan(18_500_000);
    expect(statSync(file).size).toBeLessThan(20_000_000);
    await page.open(`${app.url}/homes/sluice-house/jobs/kiln-filter.renew/start`);
    await doing(browser, page).start("Change: start");
    await page.heading("Have the new filter");
    await browser.driver.findElement(By.css("input[type=file]")).sendKeys(file);
    await page.find(By.css("section[aria-label=Pictures] img"));
    rmSync(folder, { recursive: true });
  });

  it("lets notices be shown by a worker of its own", async () => {
    const page = pageOf(browser.driver);
    await page.open(`${app.url}/homes/sluice-house`);
    const scope = await browser.driver.executeAsyncScript<string>(
      "const done = arguments[arguments.length - 1]; navigator.serviceWorker.register('/notices.js').then((worker) => done(worker.scope), (error) => done(String(error)))",
    );
    expect(scope).toBe(`${app.url}/`);
  });

  it("takes the events of two devices on one run, loses none and doubles none", async () => {
    const page = pageOf(browser.driver);
    await page.open(`${app.url}/homes/sluice-house/parts/cellar-filter`);
    await page.press("Change it");
    await doing(browser, page).start("Change: start");
    await page.heading("Have the new filter");
    const runId = new URL(await browser.driver.getCurrentUrl()).pathname.split("/").at(-1)!;
    const event = (step: string) => ({
      id: randomUUID(),
      at: "2026-03-14T08:31:00.000Z",
      kind: "done",
      step,
    });
    const [a, b] = [event("new-one-at-hand"), event("new-one-at-hand")];
    const [c, d] = [event("check-new"), event("power-off")];
    const path = `/api/v1/runs/${runId}/events`;
    // Both devices did the first step; one of them sends everything twice.
    await Promise.all([post(path, { events: [a] }), post(path, { events: [b] })]);
    await Promise.all([post(path, { events: [a, c, d] }), post(path, { events: [b, c, d] })]);
    const store = await openStore(app.file);
    const stored = await listRunEvents(store.db, runId);
    store.close();
    expect(stored.map((each) => each.id).sort()).toEqual([a.id, b.id, c.id, d.id].sort());
    await page.reload();
    await page.heading("Open the slot");
    // The switch is off: the run can't be finished, nor given up.
    for (const [kind, why] of [
      ["finished", "steps-left"],
      ["stopped", "ends-open"],
    ] as const) {
      const { step: _step, ...rest } = event("");
      const answer = await post(path, { events: [{ ...rest, kind }] });
      expect(await answer.json()).toMatchObject({ refused: [{ why }] });
    }
    const refused = await post(path, { events: [event("power-on")] });
    expect(await refused.json()).toMatchObject({ refused: [{ why: "not-the-step" }] });
    // A device whose clock is ahead is told so, and keeps what it has.
    const ahead = { ...event("open-slot"), at: "2026-03-20T08:00:00Z" };
    expect(await (await post(path, { events: [ahead] })).json()).toMatchObject({
      refused: [{ id: ahead.id, why: "clock-off" }],
    });
    expect((await post(path, { events: [] })).status).toBe(400);
    expect((await post("/api/v1/runs/none/events", { events: [event("open-slot")] })).status).toBe(
      404,
    );
  });

  it("asks for nothing beforehand: a page with many links is one page", async () => {
    const page = pageOf(browser.driver);
    await page.open(`${app.url}/homes/sluice-house`);
    await page.open(`${app.url}/homes/sluice-house/jobs`);
    await page.heading("Jobs that come round");
    // Links are looked at when the page is idle.
    await browser.driver.executeAsyncScript("requestIdleCallback(arguments[0])");
    const asked = await browser.driver.executeScript<string[]>(
      "return performance.getEntriesByType('resource').map(({ name }) => name)",
    );
    expect(asked.filter((name) => name.includes("_rsc="))).toEqual([]);
    expect(asked.length).toBeGreaterThan(1);
    await page.press("House");
    await page.heading("The house");
  });
});
