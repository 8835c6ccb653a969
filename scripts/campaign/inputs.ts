/** What is asked: odd addresses, forms, bodies, pictures, and the compute contract with anything in it. */
import fc from "fast-check";
import { z } from "zod";
import { compute } from "../../src/core/compute/compute";
import { COMPUTE_FUNCTIONS } from "../../src/core/compute/registry";
import { openStore } from "../../src/db/client";
import { startApp, type AppServer } from "../../e2e/app-server";
import { actionsBuilt, callsOf, isOfRightKind, written } from "./actions";
import {
  ask,
  drawn,
  HOME,
  isWhole,
  RUN,
  together,
  type Answer,
  type Chapter,
  type Line,
} from "./shared";

const ADDRESSES = 3000;
const CALLS = 2000;
const BODIES = 1500;
const PICTURES = 150;
const PER_FUNCTION = 800;
const LANES = 6;
/** An answer that takes longer than so many empty pages is one too late. */
const LATE_PAGES = 300;

const ODD_TEXTS = [
  "", " ", "0", "-1", "1e309", "NaN", "null", "½", "٣", "\u0000", "\ud800", "🪟".repeat(50), "<script>alert(1)</script>",
  "'; DROP TABLE homes; --", "__proto__", "constructor", "../../etc/passwd", "${7*7}", "{{7*7}}", "%ff", "2026-02-30",
  "9999999999999999999", "1×".repeat(2000), "x".repeat(100_000), "\u202eabc", "a\r\nSet-Cookie: a=b",
]; // prettier-ignore
const oddText = fc.oneof(
  { weight: 3, arbitrary: fc.constantFrom(...ODD_TEXTS) },
  { weight: 2, arbitrary: fc.string({ unit: "binary", maxLength: 60 }) },
);

const HOME_PAGES = [
  "", "/house", "/year", "/look", "/noticed", "/reading", "/jobs", "/visits", "/rooms", "/systems", "/contacts",
  "/household", "/edit", "/removed", "/watch", "/breakdowns", "/procedures", "/tools", "/shut-offs", "/instruments",
  "/as-it-should-be", "/walk", "/units/new", "/units/cellar-furnace", "/units/cellar-furnace/edit",
  "/parts/cellar-filter", "/parts/cellar-filter/edit", "/parts/cellar-filter/changed", "/jobs/new", "/units/cellar-furnace/note",
]; // prettier-ignore

const segment = fc.oneof(
  fc.constantFrom("%ff", "%00", "%", "..", "%2e%2e%2f", "%f0%9f%aa%9f", "a".repeat(3000), "%F0%28%8C%28", "~", "new", "__proto__", "constructor", "toString", "-1", ";", "//", "%5c", "sluice-house", "cellar-filter"),
  fc.string({ unit: "grapheme", maxLength: 20 }).map((text) => {
    try {
      return encodeURIComponent(text);
    } catch {
      return "%ff";
    }
  }),
); // prettier-ignore
const address = fc.oneof(
  fc.tuple(fc.constantFrom(...HOME_PAGES), segment).map(([page, more]) => `${HOME}${page}/${more}`),
  fc.tuple(segment, fc.constantFrom(...HOME_PAGES)).map(([home, page]) => `/homes/${home}${page}`),
  fc.array(segment, { minLength: 1, maxLength: 5 }).map((list) => `/${list.join("/")}`),
  fc.tuple(fc.constantFrom("runs", "photos", "homes", "compute"), fc.array(segment, { maxLength: 3 })).map(([of, list]) => `/api/v1/${[of, ...list].join("/")}`),
  fc.tuple(fc.constantFrom(...HOME_PAGES), fc.constantFrom("noted", "unit", "zoom", "from", "sort", "q", "place", "__proto__"), segment).map(([page, name, value]) => `${HOME}${page}?${name}=${value}`),
); // prettier-ignore

type Tally = {
  asked: number;
  failed: string[];
  late: string[];
  /** What takes longer is late, ms. */
  lateAfter: number;
  byStatus: Map<number, number>;
};
const tally = (lateAfter: number): Tally => ({
  ...{ asked: 0, failed: [], late: [], lateAfter },
  byStatus: new Map(),
});
function count(into: Tally, what: string, { status, ms }: Answer): void {
  into.asked++;
  into.byStatus.set(status, (into.byStatus.get(status) ?? 0) + 1);
  // Busy and given up are answers; any other error of the server's is a mistake of ours.
  if (status >= 500 && status !== 503) into.failed.push(`${status} ${what}`);
  if (ms > into.lateAfter) into.late.push(`${Math.round(ms)} ms ${what}`);
}
const lineOf = (promise: string, what: string, { asked, failed, late, byStatus }: Tally): Line => ({
  promise,
  tried: `${asked} ${what}`,
  found: [
    [...byStatus]
      .toSorted(([a], [b]) => a - b)
      .map(([status, n]) => `${n}×${status || "cut"}`)
      .join(" "),
    ...failed.slice(0, 12),
    ...late.slice(0, 3),
  ].join("; "),
  isKept: failed.length === 0 && late.length === 0,
});

/** The names of the fields of a page. */
const fieldsIn = (html: string): string[] =>
  [...html.matchAll(/<(?:input|select|textarea)\b[^>]*\sname="([^"$]+)"/g)].map(
    ([, name]) => name!,
  );

const BOUNDARY = "campaign-boundary";
async function actions(app: AppServer, seed: number, lateAfter: number): Promise<Line> {
  const told = tally(lateAfter);
  let refused = 0;
  const names = new Set<string>();
  for (const page of ["/homes/new", ...HOME_PAGES.map((each) => HOME + each)])
    for (const name of fieldsIn((await ask(app.url, { path: page })).body)) names.add(name);
  const calls = drawn(callsOf(actionsBuilt(), [...names], oddText), CALLS, seed);
  await together(calls, LANES, async ({ action, values }) => {
    const { body, type } = await written(values);
    const headers = { "content-type": type, "next-action": action.id, origin: app.url };
    const answer = await ask(app.url, { method: "POST", path: action.path, headers, body });
    const form = values.find((each) => each instanceof FormData);
    const what = `${action.name} ${JSON.stringify([values, [...(form?.entries() ?? [])]]).slice(0, 600)}`;
    const isWrong = answer.status === 500 && isOfRightKind(action);
    if (answer.status !== 500 || isWrong) count(told, what, answer);
    else refused++;
  });
  return lineOf(
    "A form takes anything, or says what is wrong",
    `calls of every form and press, and ${refused} of a kind none of our pages makes, which may fail`,
    told,
  );
}

const oddJson = fc.oneof(
  fc.json({ maxDepth: 4 }),
  oddText,
  fc.tuple(oddText, oddText).map(([id, words]) => JSON.stringify({ events: [{ id, at: "2026-03-14T08:30:00Z", kind: "note", step: "x", words }] })),
  fc.tuple(fc.constantFrom("done", "back", "finished", "stopped", "alarm", "undone", "plate", "photo"), oddText).map(([kind, step]) => JSON.stringify({ events: [{ id: `odd-${step.slice(0, 40)}--------`, at: "2026-03-14T08:30:00Z", kind, step, reading: { value: step } }] })),
  fc.constantFrom('{"__proto__":{"a":1},"events":[]}', "[".repeat(50_000), "{".repeat(100), '"'.repeat(1000), "\ufeff{}"),
); // prettier-ignore

async function bodies(app: AppServer, seed: number, lateAfter: number): Promise<Line> {
  const told = tally(lateAfter);
  const paths = [`/api/v1/runs/${RUN}/events`, "/api/v1/runs/nowhere/events", "/api/v1/compute/wear", "/api/v1/compute/climate", "/api/v1/compute/__proto__", `/api/v1${HOME}/readings`]; // prettier-ignore
  const sent = drawn(fc.tuple(fc.constantFrom(...paths), oddJson), BODIES, seed);
  await together(sent, LANES, async ([path, body]) =>
    count(told, path, await ask(app.url, { method: "POST", path, headers: { "content-type": "application/json" }, body })),
  ); // prettier-ignore
  return lineOf("A body is taken or refused in words", "odd bodies", told);
}

async function pictures(app: AppServer, seed: number, lateAfter: number): Promise<Line> {
  const told = tally(lateAfter);
  const begins = [
    "\xff\xd8\xff\xe0",
    "\x89PNG\r\n\x1a\n",
    "RIFF____WEBP",
    "%PDF-",
    "GIF89a",
    "<svg xmlns='http://www.w3.org/2000/svg'/>",
  ];
  const sent = drawn(fc.tuple(fc.constantFrom(...begins), fc.uint8Array({ maxLength: 4000 }), fc.nat()), PICTURES, seed); // prettier-ignore
  await together(sent, LANES, async ([begin, bytes, nth]) => {
    const head = `--${BOUNDARY}\r\nContent-Disposition: form-data; name="id"\r\n\r\npicture-${nth}\r\n--${BOUNDARY}\r\nContent-Disposition: form-data; name="unitId"\r\n\r\ncellar-furnace\r\n--${BOUNDARY}\r\nContent-Disposition: form-data; name="file"; filename="a.jpg"\r\nContent-Type: image/jpeg\r\n\r\n`;
    const body = Buffer.concat([Buffer.from(head), Buffer.from(begin, "latin1"), Buffer.from(bytes), Buffer.from(`\r\n--${BOUNDARY}--\r\n`)]); // prettier-ignore
    const headers = { "content-type": `multipart/form-data; boundary=${BOUNDARY}` };
    count(
      told,
      "photos",
      await ask(app.url, { method: "POST", path: `/api/v1${HOME}/photos`, headers, body }),
    );
  });
  return lineOf("No file that is no picture ends anything", "scrambled pictures and papers", told);
}

/** Anything that looks a little like what a JSON schema asks for. */
function hostileTo(schema: unknown, depth = 0): fc.Arbitrary<unknown> {
  const of = (schema ?? {}) as { type?: string; enum?: unknown[]; const?: unknown; anyOf?: unknown[]; oneOf?: unknown[]; properties?: Record<string, unknown>; items?: unknown }; // prettier-ignore
  const anything = fc.oneof(
    fc.constantFrom(
      null,
      true,
      -1,
      0,
      1e9,
      1e12,
      1e308,
      -0,
      0.1,
      "2026-03-14",
      "1899-12-31",
      "9999-12-31",
      [],
      {},
    ),
    fc.constantFrom(...ODD_TEXTS),
  );
  if (depth > 6) return anything;
  const like = (): fc.Arbitrary<unknown> => {
    const choices = of.anyOf ?? of.oneOf;
    if (choices) return fc.oneof(...choices.map((each) => hostileTo(each, depth + 1)));
    if (of.const !== undefined) return fc.constant(of.const);
    if (of.enum) return fc.constantFrom(...of.enum);
    if (of.type === "object")
      return fc.record(
        Object.fromEntries(
          Object.entries(of.properties ?? {}).map(([key, each]) => [
            key,
            hostileTo(each, depth + 1),
          ]),
        ),
        { requiredKeys: [] },
      );
    if (of.type === "array") return fc.array(hostileTo(of.items, depth + 1), { maxLength: 6 });
    if (of.type === "number" || of.type === "integer")
      return fc.oneof(fc.integer({ min: -5, max: 500 }), fc.constantFrom(0, 1e9, 1e-9, -1e9, 0.5));
    if (of.type === "boolean") return fc.boolean();
    return fc.constantFrom(
      "2026-03-14",
      "2026-01-15",
      "16x25x1",
      "a",
      "2026-03-14T08:30:00Z",
      "1900-01-01",
      "2199-12-31",
    );
  };
  return fc.oneof({ weight: 14, arbitrary: like() }, { weight: 1, arbitrary: anything });
}

/** What may take its ten seconds, and is tried by the chapter on heavy requests. */
const HEAVY = new Set(["plan"]);

function contract(seed: number, lateAfter: number): Line {
  let asked = 0;
  let answered = 0;
  const wrong: string[] = [];
  for (const [nth, { name, input }] of COMPUTE_FUNCTIONS.entries()) {
    if (HEAVY.has(name)) continue;
    const schema = z.toJSONSchema(input, { io: "input", unrepresentable: "any" });
    for (const raw of drawn(hostileTo(schema), PER_FUNCTION, seed + nth)) {
      asked++;
      const began = performance.now();
      try {
        const answer = compute(name, JSON.stringify(raw) ?? "");
        if (answer.ok) answered++;
      } catch (error) {
        wrong.push(`${name} threw ${String(error).slice(0, 120)}`);
      }
      const ms = performance.now() - began;
      if (ms > lateAfter) wrong.push(`${name} took ${Math.round(ms)} ms`);
    }
  }
  return {
    promise: "The compute contract answers or refuses, whatever comes",
    tried: `${asked} inputs shaped a little like the right ones`,
    found: [`${answered} answered, the others refused`, ...wrong.slice(0, 3)].join("; "),
    isKept: wrong.length === 0,
  };
}

export const inputs: Chapter = async (seed, can) => {
  const lateAfter = LATE_PAGES * can.page;
  const app = await startApp("demo");
  const lines: Line[] = [contract(seed, lateAfter)];
  try {
    const store = await openStore(app.file);
    const ids = async () =>
      new Set(
        (await store.client.execute("SELECT id FROM events")).rows.map((row) => String(row["id"])),
      );
    const before = await ids();
    const told = tally(lateAfter);
    await together(drawn(address, ADDRESSES, seed), LANES, async (path) =>
      count(told, path.slice(0, 80), await ask(app.url, { path })),
    );
    lines.push(lineOf("Any address gets a page, 400 or 404", "odd addresses", told));
    lines.push(await actions(app, seed, lateAfter));
    lines.push(await bodies(app, seed, lateAfter));
    lines.push(await pictures(app, seed, lateAfter));
    const after = await ids();
    const lost = [...before].filter((id) => !after.has(id)).length;
    const closed: string[] = [];
    for (const page of HOME_PAGES) {
      const { status } = await ask(app.url, { path: HOME + page });
      if (status !== 200 && status !== 307) closed.push(`${page} ${status}`);
    }
    const whole = await isWhole(store);
    lines.push({
      promise: "Whatever was sent, nothing is lost and every page opens",
      tried: `${before.size} entries of before, ${HOME_PAGES.length} pages, the file itself`,
      found: `${lost} lost, ${closed.length === 0 ? "all open" : closed.join(", ")}, ${whole ? "file whole" : "FILE DAMAGED"}`,
      isKept: lost === 0 && closed.length === 0 && whole,
    });
    store.close();
    return lines;
  } finally {
    await app.stop();
  }
};
