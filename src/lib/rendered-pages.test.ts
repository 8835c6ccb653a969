import { createServer, request, type IncomingHttpHeaders, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { gzipSync } from "node:zlib";
import { RenderedPages } from "./rendered-pages";

type Answer = { status: number; body: string; headers: IncomingHttpHeaders };

/** A server that renders when the test says so, and counts how often it was asked to. */
class Renderer {
  renderings = 0;
  version: number | null = 1;
  at = 0;
  first = "<html>";
  page: (nth: number) => string | Buffer = (nth) => `page ${nth}`;
  status = 200;
  headers: Record<string, string> = {};
  #held: (() => void)[] = [];
  isHeld = false;
  isFileHeld = false;
  /** Where a press leads on to: its page is asked for with the headers of the press. */
  leadsTo: string | null = null;
  endsLater = false;
  readonly #pages = new RenderedPages({
    handle: async (request, response) => {
      const nth = ++this.renderings;
      if (request.method === "POST" && this.leadsTo) {
        const headers = request.headers as Record<string, string>;
        response.end(`led to ${(await ask(this.leadsTo, headers)).body}`);
        return;
      }
      if (this.isHeld) await new Promise<void>((go) => this.#held.push(go));
      response.statusCode = this.status;
      for (const [name, value] of Object.entries(this.headers)) response.setHeader(name, value);
      response.write(this.first);
      if (this.endsLater) return void setTimeout(() => response.end(this.page(nth)), 5);
      response.end(this.page(nth));
    },
    version: () => Promise.resolve(this.version),
    isHeld: () => this.isFileHeld,
    clock: () => this.at,
  });
  readonly server: Server = createServer((request, response) => {
    this.#pages.answer(request, response).catch(() => response.destroy());
  });
  /** Waits until so many were asked for in all. */
  async until(renderings: number) {
    while (this.renderings < renderings) await new Promise((resolve) => setImmediate(resolve));
  }
  /** Waits until so many are being rendered, and lets them go on. */
  async letGo(waiting: number) {
    while (this.#held.length < waiting) await new Promise((resolve) => setImmediate(resolve));
    for (const go of this.#held.splice(0)) go();
  }
}

let renderer: Renderer;
let port: number;
beforeEach(async () => {
  renderer = new Renderer();
  await new Promise<void>((ready) => renderer.server.listen(0, "127.0.0.1", ready));
  port = (renderer.server.address() as AddressInfo).port;
});
afterEach(() => {
  renderer.server.closeAllConnections();
  renderer.server.close();
});

const ask = (
  path = "/homes/a",
  headers: Record<string, string> = {},
  method = "GET",
): Promise<Answer> =>
  new Promise((resolve, reject) => {
    request({ host: "127.0.0.1", port, path, headers, method, agent: false }, (response) => {
      const chunks: Buffer[] = [];
      response.on("data", (chunk: Buffer) => chunks.push(chunk));
      response.on("end", () =>
        resolve({
          status: response.statusCode ?? 0,
          body: Buffer.concat(chunks).toString(),
          headers: response.headers,
        }),
      );
    })
      .on("error", reject)
      .end();
  });

describe("pages of many kinds", () => {
  const turns = async () => {
    for (let i = 0; i < 50; i++) await new Promise((resolve) => setImmediate(resolve));
  };

  it("are rendered a few at once and the others in turn, and no write waits for one", async () => {
    renderer.isHeld = true;
    const asked = Array.from({ length: 10 }, (_, nth) => ask(`/homes/a/parts/${nth}`));
    await renderer.until(2);
    await turns();
    expect(renderer.renderings).toBe(2);
    const program = ask("/api/v1/runs/r/events");
    await renderer.until(3);
    await renderer.letGo(3);
    await program;
    await renderer.until(5);
    await turns();
    expect(renderer.renderings).toBe(5);
    for (let left = 8; left > 0; left -= 2) await renderer.letGo(2);
    expect((await Promise.all(asked)).every(({ status }) => status === 200)).toBe(true);
  });

  it("begin behind a write that is under way, and are not for ever behind one", async () => {
    renderer.isHeld = true;
    const write = ask("/api/v1/runs/r/events", {}, "POST");
    await renderer.until(1);
    const asked = [ask("/homes/a/parts/1"), ask("/homes/a/parts/2")];
    await turns();
    expect(renderer.renderings).toBe(1);
    await renderer.letGo(1);
    await write;
    await renderer.until(3);
    await renderer.letGo(2);
    await Promise.all(asked);
    // One that never ends keeps no page from being shown.
    const stuck = ask("/api/v1/runs/r/events", {}, "POST").catch(() => null);
    await renderer.until(4);
    const behind = ask("/homes/a/parts/3");
    await renderer.until(5);
    await renderer.letGo(2);
    await Promise.all([behind, stuck]);
  });

  it("wait for no write that another program holds up", async () => {
    renderer.isHeld = true;
    const stuck = ask("/api/v1/runs/r/events", {}, "POST");
    await renderer.until(1);
    renderer.isFileHeld = true;
    const asked = ask("/homes/a/parts/1");
    await turns();
    expect(renderer.renderings).toBe(2);
    await renderer.letGo(2);
    await Promise.all([asked, stuck]);
  });

  it("are rendered at once where a press leads to them, whoever else waits for their turn", async () => {
    renderer.isHeld = true;
    const readers = [1, 2, 3].map((nth) => ask(`/homes/a/parts/${nth}`));
    await renderer.until(2);
    renderer.isHeld = false;
    renderer.leadsTo = "/homes/a/parts/4";
    const press = await ask("/homes/a/parts/4", {}, "POST");
    expect(press.body).toBe("led to <html>page 4");
    renderer.isHeld = true;
    await renderer.letGo(2);
    await renderer.letGo(1);
    await Promise.all(readers);
  });

  it("that fail give their turn up", async () => {
    renderer.page = (nth) => {
      if (nth <= 8) throw new Error("a mistake of ours");
      return "page";
    };
    const asked = Array.from({ length: 9 }, (_, nth) => ask(`/homes/a/parts/${nth}`));
    const ended = await Promise.allSettled(asked);
    expect(ended.filter(({ status }) => status === "fulfilled")).toHaveLength(1);
  });
});

describe("a page many ask for", () => {
  it("is rendered once for all who ask meanwhile, and for two seconds after", async () => {
    renderer.headers = { "x-of": "the page" };
    renderer.isHeld = true;
    const asked = Array.from({ length: 8 }, () => ask());
    await renderer.letGo(1);
    const answers = await Promise.all(asked);
    expect(new Set(answers.map(({ body }) => body))).toEqual(new Set(["<html>page 1"]));
    expect(answers.every(({ headers }) => headers["x-of"] === "the page")).toBe(true);
    renderer.isHeld = false;
    renderer.at = 1999;
    expect((await ask()).body).toBe("<html>page 1");
    renderer.at = 2000;
    expect((await ask()).body).toBe("<html>page 2");
    expect(renderer.renderings).toBe(2);
  });

  it("is never from before a write that was over when it was asked for", async () => {
    renderer.isHeld = true;
    const before = ask();
    await renderer.until(1);
    renderer.version = 2;
    const after = [ask(), ask(), ask()];
    await renderer.letGo(1);
    expect((await before).body).toBe("<html>page 1");
    await renderer.letGo(1);
    for (const { body } of await Promise.all(after)) expect(body).toBe("<html>page 2");
    expect(renderer.renderings).toBe(2);
    renderer.isHeld = false;
    expect((await ask()).body).toBe("<html>page 2");
  });

  it("is given to all who waited for it, however long it took", async () => {
    renderer.isHeld = true;
    const asked = [ask(), ask(), ask()];
    await renderer.until(1);
    renderer.at = 60_000;
    await renderer.letGo(1);
    await Promise.all(asked);
    expect(renderer.renderings).toBe(1);
  });

  it("is another one for another address, cookie, host or language of the answer", async () => {
    const bodies = [
      await ask("/homes/a"),
      await ask("/homes/a?noted=1"),
      await ask("/homes/b"),
      await ask("/homes/a/house"),
      await ask("/homes/a", { cookie: "theme=dark" }),
      await ask("/homes/a", { host: "lintel.lan" }),
      await ask("/homes/a", { "accept-encoding": "gzip" }),
      await ask("/homes/a", { rsc: "1" }),
      await ask("/homes/a", { referer: "http://127.0.0.1/" }),
    ].map(({ body }) => body);
    expect(bodies.slice(0, -1)).toEqual(bodies.slice(0, -1).map((_, i) => `<html>page ${i + 1}`));
    // Where one came from changes nothing.
    expect(bodies.at(-1)).toBe("<html>page 1");
  });

  it.each(["/homes/new", "/homes/a/look", "/welcome", "/api/v1/backup", "/homes/a/units/b"])(
    "is not one with a form or of another kind: %s",
    async (path) => {
      await ask(path);
      expect((await ask(path)).body).toBe("<html>page 2");
    },
  );

  it.each<[string, Partial<Renderer>]>([
    ["that was not found", { status: 404 }],
    ["that sets a cookie", { headers: { "set-cookie": "a=b" } }],
    ["with an error inside", { page: (nth) => `<template data-dgst="amber-busy">page ${nth}` }],
    ["with an error in what it streams", { page: (nth) => `3:E{"digest":"1"} page ${nth}` }],
    ["that is very large", { page: (nth) => "x".repeat(2_000_001) + `page ${nth}` }],
    ["of data whose version is not known", { version: null }],
  ])("is kept for nobody where it is one %s", async (_, change) => {
    Object.assign(renderer, change);
    await ask();
    expect((await ask()).body).toMatch(/page 2$/);
  });

  it("is kept where what packs it ends later than what renders it", async () => {
    renderer.endsLater = true;
    await ask();
    await ask();
    expect(renderer.renderings).toBe(1);
  });

  it("is looked into where it is packed, too", async () => {
    renderer.first = "";
    renderer.headers = { "content-encoding": "gzip" };
    for (const [words, renderings] of [
      [`data-dgst="x"`, 2],
      ["all is well", 3],
    ] as const) {
      renderer.page = () => gzipSync(words);
      await ask();
      await ask();
      expect(renderer.renderings).toBe(renderings);
    }
  });

  it("is rendered by the next in line where the first went away", async () => {
    renderer.isHeld = true;
    const gone = request({ host: "127.0.0.1", port, path: "/homes/a", agent: false });
    gone.end();
    gone.on("error", () => undefined);
    await renderer.until(1);
    const waiting = [ask(), ask(), ask()];
    gone.destroy();
    await renderer.until(2);
    await renderer.letGo(1);
    for (const { body } of await Promise.all(waiting)) expect(body).toBe("<html>page 2");
    expect(renderer.renderings).toBe(2);
  });
});
