import { randomUUID } from "node:crypto";
import { setTimeout as sleep } from "node:timers/promises";
import pLimit from "p-limit";
import { brotliDecompressSync, gunzipSync, inflateSync } from "node:zlib";
import type { IncomingMessage, OutgoingHttpHeaders, ServerResponse } from "node:http";

type Handle = (request: IncomingMessage, response: ServerResponse) => Promise<void>;
type Rendered = { status: number; headers: OutgoingHttpHeaders; body: Buffer; at: number };
type Kept = {
  /** How many changes of the data had been seen when it was begun. */
  changes: number;
  /** Null where it came to nothing others may be given. */
  rendered: Promise<Rendered | null>;
};

export type PagesSetting = {
  /** What renders. */
  handle: Handle;
  /** The number of the data's last change; null where it is not known. */
  version: () => Promise<number | null>;
  /** Whether a write waits for another program: it needs no processor, and no page waits for it. */
  isHeld: () => boolean;
  /** Milliseconds by a clock that only goes on. */
  clock: () => number;
};

/** What is rendered: neither files nor what programs ask for. */
const PAGES = /^\/((homes|runs)\/|welcome(\?|$))/;
/**
 * So many pages are rendered at once: one processor renders them all, and a write waits for each. With two the
 * slowest of 200 writes among fifty readers took 0.4 to 0.8 s, with four 0.8 to 1.3 s, and pages came as often.
 */
const AT_ONCE = 2;
/** How often one looks whether whoever asked takes what there is for them, ms. */
const LOOKS_MS = 500;
/**
 * Told to what a write asks for itself: the framework answers a press that leads on with the page it leads to, and
 * asks its own server for that, with the headers of the press. Were that page to wait, it would wait for itself.
 */
const WITHIN = "x-amber-within";
/** So long at most a page waits until no write is under way, ms: who only reads comes to their turn too. */
const MOST_BEHIND_WRITES_MS = 1000;
/** How often one who waits looks whether it is for a write that another program holds up, ms. */
const LOOKS_AT_WRITES_MS = 50;
/** A turn that is not over keeps no process from ending. */
const NO_HOLD = { ref: false };
/** Pages without forms: two people may be shown the very same. Paths as they are asked for. */
const SHARED_PAGES = /^\/homes\/(?!new(\?|$))[^/?]{1,64}(\/house)?(\?|$)/;
/** What a page says of the present moment, such as how long something dries yet, may be so old, ms. */
export const LIVES_MS = 2000;
/** So many at most: a few homes, on a few kinds of device. */
const MOST_KEPT = 64;
/** A page larger than this is rendered for each who asks, bytes. */
const MOST_BYTES = 2_000_000;
/** No page of ours depends on these; on any other header it may. */
const IGNORED = new Set([
  "cache-control",
  "connection",
  "dnt",
  "if-modified-since",
  "if-none-match",
  "keep-alive",
  "pragma",
  "priority",
  "referer",
  "sec-fetch-dest",
  "sec-fetch-mode",
  "sec-fetch-site",
  "sec-fetch-user",
  "upgrade-insecure-requests",
]);
/** Said anew with each answer. */
const OWN_HEADERS = new Set(["connection", "date", "keep-alive", "transfer-encoding"]);

const keyOf = ({ url, headers }: IncomingMessage): string =>
  JSON.stringify([url, Object.entries(headers).filter(([name]) => !IGNORED.has(name))]);

/**
 * Renders a page that many ask for at once only once: as long as nothing was written since, and for two seconds,
 * whoever asks with the same headers is given the same bytes. A page asked for after a write is never from before
 * it. What does not end well is kept for nobody. And of all pages a few are rendered at once, the others in turn,
 * each behind the writes that are under way.
 */
export class RenderedPages {
  #version: number | null = null;
  /** How many changes of the data were seen. */
  #changes = 0;
  readonly #kept = new Map<string, Kept>();
  readonly #turns = pLimit(AT_ONCE);
  /** Writes under way, and who waits until there is none. */
  #writes = 0;
  readonly #behind = new Set<() => void>();
  /** Nobody outside knows it. */
  readonly #ownWord = randomUUID();

  constructor(private readonly setting: PagesSetting) {}

  readonly answer: Handle = async (request, response) => {
    const { handle, clock } = this.setting;
    const url = request.url ?? "/";
    if (request.method !== "GET") return this.#write(request, response);
    if (request.headers[WITHIN] === this.#ownWord) return handle(request, response);
    if (!PAGES.test(url)) return handle(request, response);
    if (!SHARED_PAGES.test(url)) return this.#inTurn(request, response);
    const version = await this.setting.version().catch(() => null);
    if (version === null) return this.#inTurn(request, response);
    if (version !== this.#version) {
      this.#version = version;
      this.#changes++;
    }
    const changes = this.#changes;
    const key = keyOf(request);
    // One rendering at a time: who comes after a write waits for the one under way, too. Of all who find it too
    // old, or come to nothing, the first renders anew, and the others wait for that.
    for (let kept = this.#kept.get(key); kept; kept = this.#kept.get(key)) {
      const rendered = await kept.rendered;
      if (rendered && kept.changes >= changes && clock() - rendered.at < LIVES_MS)
        return send(response, rendered);
      if (this.#kept.get(key) === kept) this.#kept.delete(key);
    }
    const { rendered, work } = rendering(this.#inTurn, request, response, clock);
    this.#keep(key, { changes: this.#changes, rendered });
    return work;
  };

  /** Does what is no reading at once; pages begin when it is over. */
  async #write(request: IncomingMessage, response: ServerResponse): Promise<void> {
    this.#writes++;
    request.headers[WITHIN] = this.#ownWord;
    let isOver = false;
    const over = () => {
      if (isOver) return;
      isOver = true;
      if (--this.#writes > 0) return;
      for (const go of this.#behind) go();
    };
    response.once("close", over);
    try {
      await this.setting.handle(request, response);
    } finally {
      over();
    }
  }

  /** Waits until no write is under way, but not for ever. */
  async #behindWrites(): Promise<void> {
    for (let waited = 0; waited < MOST_BEHIND_WRITES_MS; waited += LOOKS_AT_WRITES_MS) {
      if (this.#writes === 0 || this.setting.isHeld()) return;
      let go: () => void = () => undefined;
      const none = new Promise<void>((resolve) => this.#behind.add((go = resolve)));
      await Promise.race([none, sleep(LOOKS_AT_WRITES_MS, null, NO_HOLD)]);
      this.#behind.delete(go);
    }
  }

  /** Renders when there is room: a write never waits for a turn, nor long among many who read. */
  readonly #inTurn: Handle = (request, response) =>
    new Promise((resolve, reject) => {
      void this.#turns(async () => {
        await this.#behindWrites();
        const work = this.setting.handle(request, response);
        work.then(resolve, reject);
        await Promise.race([work.catch(() => undefined), isReadSlowly(response)]);
      });
    });

  #keep(key: string, kept: Kept): void {
    this.#kept.set(key, kept);
    for (const oldest of this.#kept.keys()) {
      if (this.#kept.size <= MOST_KEPT) break;
      this.#kept.delete(oldest);
    }
  }
}

/** Comes true once what is rendered waits for whoever asked: then others are rendered meanwhile. */
async function isReadSlowly(response: ServerResponse): Promise<void> {
  while (!response.writableEnded && !response.destroyed) {
    await sleep(LOOKS_MS, null, NO_HOLD);
    if (response.writableNeedDrain) return;
  }
}

function send(response: ServerResponse, { status, headers, body }: Rendered): void {
  response.writeHead(status, headers);
  response.end(body);
}

/**
 * Renders for one who asks, and holds the bytes back until all are there: somebody who reads slowly keeps nobody
 * waiting.
 */
function rendering(
  handle: Handle,
  request: IncomingMessage,
  response: ServerResponse,
  clock: () => number,
): { rendered: Kept["rendered"]; work: Promise<void> } {
  const chunks: Buffer[] = [];
  const add = (chunk: unknown, encoding: unknown) => {
    if (typeof chunk === "string")
      chunks.push(
        Buffer.from(chunk, typeof encoding === "string" ? (encoding as BufferEncoding) : "utf8"),
      );
    else if (chunk instanceof Uint8Array) chunks.push(Buffer.from(chunk));
  };
  const called = (args: unknown[]) => {
    const done = args.findLast((each) => typeof each === "function") as (() => void) | undefined;
    if (done) process.nextTick(done);
  };
  const end = response.end.bind(response);
  let nothing: () => void = () => undefined;
  const rendered: Kept["rendered"] = new Promise((resolve) => {
    nothing = () => resolve(null);
    response.once("close", nothing);
    response.write = (...args: unknown[]) => {
      add(args[0], args[1]);
      called(args);
      return true;
    };
    response.end = (...args: unknown[]) => {
      add(args[0], args[1]);
      const body = Buffer.concat(chunks);
      const { statusCode: status } = response;
      const whole = { status, headers: headersOf(response), body, at: clock() };
      resolve(isSound(whole) ? whole : null);
      end(body);
      called(args);
      return response;
    };
  });
  const work = handle(request, response);
  // Not when it is done: what packs the bytes may still be at it then.
  work.catch(nothing);
  return { rendered, work };
}

const headersOf = (response: ServerResponse): OutgoingHttpHeaders =>
  Object.fromEntries(
    Object.entries(response.getHeaders()).filter(([name]) => !OWN_HEADERS.has(name)),
  );

/** How an error that happened while a page was under way stands in it. */
const ERROR_INSIDE = /data-dgst=|:E\{\\?"digest/;

const isSound = ({ status, headers, body }: Rendered): boolean =>
  status === 200 &&
  headers["set-cookie"] === undefined &&
  body.length <= MOST_BYTES &&
  !ERROR_INSIDE.test(unpacked(body, headers["content-encoding"]));

function unpacked(body: Buffer, encoding: unknown): string {
  const unpack = { br: brotliDecompressSync, gzip: gunzipSync, deflate: inflateSync }[
    String(encoding)
  ];
  return (unpack ? unpack(body) : body).toString("utf8");
}
