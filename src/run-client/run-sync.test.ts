import type { Doing, RunEvent } from "@/core/runs/run-event";
import type { NotTaken } from "@/core/runs/run-state";
import { changePanelFilter } from "@/content/procedures/change-panel-filter";
import { jobOf } from "../../tests/run-events";
import { EventQueue, type DeviceStore } from "./device-store";
import { queueOf, runsWaiting, sendLeftBehind } from "./left-behind";
import { BATCH, RunSync, type Device } from "./run-sync";
import { sendEvents, type Answer, type Taken } from "./send-events";

const KEY = "run-r";
const T0 = Date.parse("2026-03-14T08:30:00.000Z");
const job = jobOf(changePanelFilter);
const note = (words: string): Doing => ({ kind: "note", step: "check-new", words });
const wordsOf = (events: readonly RunEvent[]) =>
  events.map((event) => ("words" in event ? event.words : event.kind));

class MemoryStore implements DeviceStore {
  readonly texts = new Map<string, string>();
  isFull = false;
  get = (key: string) => this.texts.get(key) ?? null;
  set = (key: string, text: string) => {
    if (this.isFull) throw new Error("QuotaExceededError");
    this.texts.set(key, text);
  };
  remove = (key: string) => void this.texts.delete(key);
}

/** A device whose clock stands still, and whose timers run when the test says so. */
class HeldDevice implements Device {
  at = T0;
  seen = true;
  timers: { work: () => void; ms: number }[] = [];
  now = () => this.at;
  isSeen = () => this.seen;
  later = (work: () => void, ms: number) => {
    const timer = { work, ms };
    this.timers.push(timer);
    return () => void (this.timers = this.timers.filter((each) => each !== timer));
  };
  /** Runs what waits for so many ms. */
  async run(ms: number) {
    const due = this.timers.filter((each) => each.ms === ms);
    this.timers = this.timers.filter((each) => each.ms !== ms);
    for (const { work } of due) work();
    await settled();
  }
}

const settled = async () => {
  for (let i = 0; i < 400; i++) await Promise.resolve();
};

/** A server that takes everything, unless a test says what it answers. */
class Server {
  known: RunEvent[] = [];
  batches: number[] = [];
  clock = T0;
  answer: (events: readonly RunEvent[]) => Answer | null = () => null;
  refuses = new Map<string, NotTaken>();
  /** What came after an event, as the server has it; everything where it has it not. */
  taken = (after?: string): Taken => ({
    kind: "taken",
    after: this.known.some(({ id }) => id === after) ? after! : null,
    events: this.known.slice(this.known.findIndex(({ id }) => id === after) + 1),
    refused: [],
    now: new Date(this.clock).toISOString(),
  });
  send = (_: string, events: readonly RunEvent[], after?: string): Promise<Answer> => {
    this.batches.push(events.length);
    const other = this.answer(events);
    if (other) return Promise.resolve(other);
    const refused = events.flatMap(({ id, ...rest }) => {
      const why = this.refuses.get(("words" in rest ? rest.words : undefined) ?? rest.kind);
      return why ? [{ id, why }] : [];
    });
    const gone = new Set([...refused.map(({ id }) => id), ...this.known.map(({ id }) => id)]);
    this.known.push(...events.filter(({ id }) => !gone.has(id)));
    return Promise.resolve({ ...this.taken(after), refused });
  };
  ask = (_: string, after?: string) => Promise.resolve(this.taken(after));
}

let store: MemoryStore, device: HeldDevice, server: Server;
beforeEach(() => {
  store = new MemoryStore();
  device = new HeldDevice();
  server = new Server();
});
const open = (known: RunEvent[] = []) => {
  const sync = new RunSync({
    onItsWay: [],
    runId: "r",
    job,
    known,
    serverNow: new Date(T0).toISOString(),
    queue: new EventQueue(store, KEY),
    send: server.send,
    ask: server.ask,
    device,
  });
  sync.start();
  return sync;
};

describe("a run on a device", () => {
  it("shows at once what was done, sends it, and lets it go when it is acknowledged", async () => {
    const sync = open();
    sync.act(note("one"));
    expect(wordsOf(sync.state().queue)).toEqual(["one"]);
    expect(store.texts.has(KEY)).toBe(true);
    await settled();
    expect(wordsOf(sync.state().known)).toEqual(["one"]);
    expect(sync.state().queue).toEqual([]);
    expect(store.texts.has(KEY)).toBe(false);
  });

  it("keeps everything while the server answers with trouble, and sends it again", async () => {
    server.answer = () => ({ kind: "unreachable" });
    const sync = open();
    sync.act(note("one"));
    sync.act(note("two"));
    await settled();
    expect(sync.state().trouble).toMatch(/^Not saved yet: .* sent again\.$/);
    expect(wordsOf(sync.state().queue)).toEqual(["one", "two"]);
    server.answer = () => null;
    await device.run(3000);
    expect(wordsOf(server.known)).toEqual(["one", "two"]);
    expect(sync.state()).toMatchObject({ trouble: null, queue: [] });
  });

  it("picks up what an earlier page left behind", async () => {
    server.answer = () => ({ kind: "unreachable" });
    const before = open();
    before.act(note("one"));
    await settled();
    before.stop();
    server.answer = () => null;
    const after = open();
    expect(wordsOf(after.state().queue)).toEqual(["one"]);
    await settled();
    expect(wordsOf(server.known)).toEqual(["one"]);
  });

  it("names what was refused, by its step and what to do, and takes the rest", async () => {
    server.refuses.set("two", "after-another");
    const sync = open();
    for (const words of ["one", "two", "three"]) sync.act(note(words));
    await settled();
    expect(wordsOf(server.known)).toEqual(["one", "three"]);
    expect(sync.state().queue).toEqual([]);
    const [told, ...others] = sync.state().refused;
    expect(others).toEqual([]);
    expect(told!.words).toMatch(
      /^Compare the printed sizes: not counted, as .* Close that first\.$/,
    );
    sync.putAway(told!.id);
    expect(sync.state().refused).toEqual([]);
  });

  it("keeps what a wrong clock dated until that is set, and dates it anew", async () => {
    const sync = open();
    device.at = T0 + 3 * 86_400_000;
    server.refuses.set("ahead", "clock-off");
    sync.act(note("ahead"));
    await settled();
    expect(sync.state().trouble).toMatch(/clock is more than a day ahead/);
    expect(wordsOf(sync.state().queue)).toEqual(["ahead"]);
    server.refuses.clear();
    await device.run(3000);
    expect(wordsOf(server.known)).toEqual(["ahead"]);
    expect(Date.parse(server.known[0]!.at)).toBeLessThanOrEqual(server.clock);
  });

  it("says so when what was typed can't be kept, and keeps nothing that could not be sent", () => {
    const sync = open();
    sync.act(note(""));
    expect(sync.state().queue).toEqual([]);
    expect(sync.state().refused[0]!.words).toMatch(/Type it again\.$/);
  });

  it("sends a long run in batches", async () => {
    server.answer = () => ({ kind: "unreachable" });
    const sync = open();
    for (let i = 0; i < 2 * BATCH + 7; i++) sync.act(note(`note ${i}`));
    await settled();
    server.answer = () => null;
    server.batches = [];
    await device.run(3000);
    expect(server.batches).toEqual([BATCH, BATCH, 7]);
    expect(new Set(wordsOf(server.known)).size).toBe(2 * BATCH + 7);
    expect(sync.state().queue).toEqual([]);
  });

  it("finds the one that a server cannot read, keeps it and names it, and sends the others", async () => {
    server.answer = () => ({ kind: "unreachable" });
    const sync = open();
    for (const words of ["one", "odd", "three", "four"]) sync.act(note(words));
    await settled();
    server.answer = (events) =>
      wordsOf(events).includes("odd") ? { kind: "refused", words: "too long" } : null;
    await device.run(3000);
    expect(wordsOf(server.known)).toEqual(["one", "three", "four"]);
    expect(sync.state().refused[0]!.words).toMatch(/\(too long\) It is kept on this device\.$/);
    // Kept, and not shown as done: another page, or another version, may still send it.
    expect(sync.state().queue).toEqual([]);
    expect(store.texts.get(KEY)).toContain("odd");
  });

  it("keeps what was done in a job that is gone, and says so", async () => {
    server.answer = () => ({ kind: "gone" });
    const sync = open();
    sync.act(note("one"));
    await settled();
    expect(sync.state().trouble).toMatch(/not there any more/);
    expect(store.texts.get(KEY)).toContain("one");
  });

  it("says in words that the device has no room, and saves all the same", async () => {
    server.answer = () => ({ kind: "unreachable" });
    store.isFull = true;
    const sync = open();
    sync.act(note("one"));
    expect(sync.state().trouble).toMatch(/no room left/);
    sync.act(note("two"));
    expect(wordsOf(sync.state().queue)).toEqual(["one", "two"]);
    await settled();
    server.answer = () => null;
    await device.run(3000);
    expect(wordsOf(server.known)).toEqual(["one", "two"]);
    expect(sync.state().trouble).toBeNull();
  });

  it("hears of another device while it is seen, and asks nothing while something is on its way", async () => {
    const sync = open();
    server.known = [
      { id: "far-away-2", at: new Date(T0).toISOString(), ...note("far") } as RunEvent,
    ];
    device.seen = false;
    await device.run(5000);
    expect(sync.state().known).toEqual([]);
    device.seen = true;
    await device.run(5000);
    expect(wordsOf(sync.state().known)).toEqual(["far"]);
    server.answer = () => ({ kind: "unreachable" });
    sync.act(note("near"));
    await settled();
    server.known.push({
      id: "far-away-3",
      at: new Date(T0).toISOString(),
      ...note("more"),
    } as RunEvent);
    await device.run(5000);
    expect(wordsOf(sync.state().known)).toEqual(["far"]);
  });

  it("ends its timers and loops when the page goes", async () => {
    server.answer = () => ({ kind: "unreachable" });
    const sync = open();
    sync.act(note("one"));
    await settled();
    expect(device.timers.map(({ ms }) => ms).sort()).toEqual([3000, 5000]);
    sync.stop();
    await settled();
    expect(device.timers).toEqual([]);
    const sent = server.batches.length;
    await settled();
    expect(server.batches).toHaveLength(sent);
  });

  it("counts time by the server's clock", async () => {
    server.clock = T0 - 7_200_000;
    const sync = open();
    sync.act(note("one"));
    await settled();
    expect(sync.now()).toBe(server.clock);
  });
});

describe("what the page of a run left on its device", () => {
  const leave = (...words: string[]) => {
    server.answer = () => ({ kind: "unreachable" });
    const sync = open();
    for (const each of words) sync.act(note(each));
    sync.stop();
    server.answer = () => null;
  };
  const handOver = () => sendLeftBehind(store, runsWaiting([...store.texts.keys()]), server.send);

  it("is found among all else there, and handed over in batches, each once", async () => {
    store.set("typed /homes/x Save", "{}");
    const words = Array.from({ length: BATCH + 1 }, (_, nth) => `note ${nth}`);
    leave(...words);
    expect(await handOver()).toEqual({ taken: BATCH + 1, waits: false, told: [] });
    expect(wordsOf(server.known)).toEqual(words);
    expect([...store.texts.keys()]).toEqual(["typed /homes/x Save"]);
    expect(await handOver()).toEqual({ taken: 0, waits: false, told: [] });
  });

  it("stays where the server is away, cannot read it, or has no such run", async () => {
    leave("one");
    for (const [answer, waits] of [
      [{ kind: "unreachable" }, true],
      [{ kind: "refused", words: "That could not be read." }, false],
      [{ kind: "gone" }, false],
    ] as const) {
      server.answer = () => answer;
      expect(await handOver()).toEqual({ taken: 0, waits, told: [] });
      expect(wordsOf(queueOf(store, "r").all())).toEqual(["one"]);
    }
  });

  it("is told where it did not count, and waits for a clock that is ahead", async () => {
    leave("one", "two", "early");
    server.refuses.set("two", "power-comes-last").set("early", "clock-off");
    expect(await handOver()).toEqual({
      taken: 1,
      waits: true,
      told: [{ id: "r", words: expect.stringMatching(/^Not counted, as .* power comes last/) }],
    });
    expect(wordsOf(queueOf(store, "r").all())).toEqual(["early"]);
  });

  it("is no more shown as waiting by a page that still stands open", async () => {
    server.answer = () => ({ kind: "unreachable" });
    const sync = open();
    sync.act(note("one"));
    await settled();
    server.answer = () => null;
    await handOver();
    await device.run(3000);
    expect(wordsOf(sync.state().known)).toEqual(["one"]);
    expect(sync.state()).toMatchObject({ queue: [], trouble: null });
    expect(wordsOf(server.known)).toEqual(["one"]);
  });
});

describe("an answer of the server", () => {
  const answering = (status: number, body: unknown) =>
    jest
      .spyOn(globalThis, "fetch")
      .mockResolvedValue(
        new Response(typeof body === "string" ? body : JSON.stringify(body), { status }),
      );
  afterEach(() => jest.restoreAllMocks());

  it.each([
    [500, "Internal Server Error", "unreachable"],
    [503, {}, "unreachable"],
    [429, {}, "unreachable"],
    [200, "<html>sign in</html>", "unreachable"],
    [404, {}, "gone"],
    [400, { error: { message: "too many" } }, "refused"],
    [413, "too large", "refused"],
    [200, { after: null, events: [], refused: [], now: "2026-03-14T08:30:00.000Z" }, "taken"],
  ] as const)("of status %d with %j is %s", async (status, body, kind) => {
    answering(status, body);
    expect((await sendEvents("r", [])).kind).toBe(kind);
  });

  it("that never comes leaves everything to be sent again", async () => {
    jest.spyOn(globalThis, "fetch").mockRejectedValue(new TypeError("network"));
    expect(await sendEvents("r", [])).toEqual({ kind: "unreachable" });
  });
});

describe("what waits on a device", () => {
  it("is read each by itself: one that is broken loses no other", () => {
    const good = { id: "far-away-1", at: new Date(T0).toISOString(), ...note("one") };
    store.texts.set(KEY, JSON.stringify([{ nonsense: true }, good, 7]));
    expect(wordsOf(new EventQueue(store, KEY).all())).toEqual(["one"]);
    store.texts.set(KEY, "{broken");
    expect(new EventQueue(store, KEY).all()).toEqual([]);
  });
});
