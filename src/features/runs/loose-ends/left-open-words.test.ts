import { procedure } from "@/content/procedures/library";
import { replayRun } from "@/core/runs/run";
import { endsOfHome, leftOpenOf, type LeftOpen } from "@/core/runs/home-ends";
import type { EndEntry } from "@/core/runs/loose-ends";
import { event, jobOf, walk } from "../../../../tests/run-events";
import { detailOf, headOf, hoursLeft } from "./left-open-words";

const after = (at: string, hours: number) =>
  new Date(Date.parse(at) + hours * 3_600_000).toISOString();

/** What a run leaves open when it is left at a step. */
function leftAt(procedureId: string, until: string, now?: string): [LeftOpen, string] {
  const job = jobOf(procedure(procedureId)!);
  const events = walk(job, { until });
  const at = now ?? events.at(-1)!.at;
  const [left] = leftOpenOf(endsOfHome(at, [], [{ job, state: replayRun(job, events) }]));
  return [left!, at];
}

describe("what is left open, in words", () => {
  it("names what dries first, with its hours, then all that stands open with it", () => {
    const [left, at] = leftAt("wash-recovery-core", "casing");
    expect(headOf(left, at)).toBe("core drying, 48 h left");
    expect(detailOf(left, at)).toBe(
      "Windows open, ventilator off, filters out, cover off, core out",
    );
    expect(headOf(left, after(at, 47.7))).toBe("core drying, less than an hour left");
  });

  it("calls once it is dry", () => {
    const [left, at] = leftAt("wash-recovery-core", "casing");
    expect(headOf(left, after(at, 48))).toBe("core is dry: put it back");
    expect(detailOf(left, after(at, 48))).toMatch(/^Windows open.*; for 2 days$/);
  });

  it("names what was opened first where nothing dries, and for how long", () => {
    const [left, at] = leftAt("change-panel-filter", "look");
    expect(headOf(left, at)).toBe("power off");
    expect(detailOf(left, at)).toBe("Cover off, filter out; since just now");
    expect(detailOf(left, after(at, 5))).toBe("Cover off, filter out; for 5 h");
  });

  it("falls back on the kind of an end that has no words of its own, and says why it stays", () => {
    const entry: EndEntry & { words: string } = {
      id: "old",
      unit: "u",
      part: undefined,
      end: "valve-shut",
      at: "2026-03-10T09:00:00Z",
      action: "open",
      readyAt: undefined,
      after: undefined,
      words: "its washer is gone",
    };
    const [left] = leftOpenOf(endsOfHome("2026-03-14T09:00:00Z", [entry], []));
    expect(headOf(left!, "2026-03-14T09:00:00Z")).toBe("a valve is shut");
    expect(detailOf(left!, "2026-03-14T09:00:00Z")).toBe("For 4 days; “its washer is gone”");
  });

  it("rounds hours as one says them", () => {
    const at = "2026-03-14T09:00:00Z";
    expect(hoursLeft(after(at, 21.6), at)).toBe("22 h left");
    expect(hoursLeft(after(at, 0.5), at)).toBe("less than an hour left");
  });

  it("stays open on the way back until all of it is closed", () => {
    const job = jobOf(procedure("magnetic-full-clean")!);
    const aborted = event({
      kind: "turned-back",
      step: "bleed-open",
      reason: "missing",
      words: "no bleed key",
    });
    const events = [...walk(job, { until: "bleed-open" }), aborted];
    const now = "2026-03-14T12:00:00Z";
    const left = (more: typeof events) =>
      leftOpenOf(endsOfHome(now, [], [{ job, state: replayRun(job, more) }]));
    expect(left(events)[0]!.ends.map(({ label }) => label)).toEqual([
      "demand off",
      "boiler off",
      "first valve shut",
      "second valve shut",
    ]);
    expect(left(walk(job, { from: events }))).toEqual([]);
  });
});
