import { changePanelFilter } from "@/content/procedures/change-panel-filter";
import { washRecoveryCore } from "@/content/procedures/wash-recovery-core";
import { jobOf, walk } from "../../../tests/run-events";
import { replayRun } from "./run";
import { endsOfHome, leftOpenOf } from "./home-ends";

describe("the ends of a home", () => {
  const at = "2026-03-14T08:00:00Z";
  const entry = (id: string, end: "switch-off" | "panel-off" | "part-drying", extra: object = {}) => ({
    id, unit: "furnace", part: undefined, end, at, action: "open" as const, readyAt: undefined, after: undefined, ...extra,
  }); // prettier-ignore
  const now = "2026-03-14T09:00:00Z";

  it("join what outlived its run with the runs going on", () => {
    const job = jobOf(changePanelFilter);
    const going = [{ job, state: replayRun(job, walk(job, { until: "old-one-out" })) }];
    const ends = endsOfHome(
      now,
      [entry("old", "switch-off", { words: "waiting for a part" })],
      going,
    );
    expect(ends.open.map(({ id, runId, words }) => [id, runId, words])).toEqual([
      ["old", undefined, "waiting for a part"],
      ["run-1:power", "run-1", undefined],
      ["run-1:door", "run-1", undefined],
    ]);
    expect(ends.open.map(({ label }) => label)).toEqual([undefined, "power off", "cover off"]);
    expect(ends.open[0]!.blockedBy).toEqual(["run-1:door"]);
    expect(ends.order).toEqual(["run-1:door", "run-1:power", "old"]);
  });

  it("are one thing for each run, with what dries before the rest, and each for itself after it", () => {
    const core = jobOf(washRecoveryCore);
    const state = replayRun(core, walk(core, { until: "is-it-dry" }));
    const old = { unit: "boiler", words: "no washer" };
    const left = leftOpenOf(
      endsOfHome(now, [entry("old", "part-drying", old)], [{ job: core, state }]),
    );
    expect(left.map(({ id, runId, ends }) => [id, runId, ends.length])).toEqual([
      ["run-1", "run-1", 6],
      ["old", undefined, 1],
    ]);
    expect(left[0]!.drying).toMatchObject({ label: "core drying", readyAt: expect.any(String) });
    expect(left[0]!.ends[0]!.label).toBe("windows open");
    expect(left[1]!.drying).toBeUndefined();
  });

  it("stand in the order recorded, though the device that closed one had a slow clock", () => {
    const opened = entry("door", "panel-off", { at: "2026-03-14T08:30:05Z" });
    const closed = { ...opened, action: "close" as const, at: "2026-03-14T08:29:00Z" };
    expect(endsOfHome(now, [opened, closed], []).open).toEqual([]);
    const again = { ...opened, at: "2026-03-14T08:00:00Z" };
    expect(endsOfHome(now, [opened, closed, again], []).open.map((end) => end.id)).toEqual([
      "door",
    ]);
  });

  it("say what is drying still", () => {
    const drying = entry("core", "part-drying", { readyAt: "2026-03-15T06:00:00Z" });
    expect(endsOfHome(now, [drying], []).open[0]!.isDrying).toBe(true);
    expect(endsOfHome("2026-03-15T06:00:00Z", [drying], []).open[0]!.isDrying).toBe(false);
  });
});
