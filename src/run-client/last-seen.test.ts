import type { RunEvent } from "@/core/runs/run-event";
import { LastSeen } from "./last-seen";

const event = (id: string): RunEvent => ({
  id,
  at: "2026-03-14T08:30:00.000Z",
  kind: "done",
  step: id,
});
const [a, b, c] = ["a", "b", "c"].map(event) as [RunEvent, RunEvent, RunEvent];

it("shows a run as it was seen last, never as it was sent before that", () => {
  const seen = new LastSeen();
  expect(seen.of("run", [a])).toEqual({ known: [a], queue: [] });
  seen.keep("run", { known: [a, b], queue: [c] });
  expect(seen.of("run", [a])).toEqual({ known: [a, b], queue: [c] });
  // What was sent since is further on, and holds what was on its way.
  expect(seen.of("run", [a, b, c])).toEqual({ known: [a, b, c], queue: [] });
  expect(seen.of("another", [a])).toEqual({ known: [a], queue: [] });
  // A copy that was put back knows less, and is right.
  seen.forget();
  expect(seen.of("run", [a])).toEqual({ known: [a], queue: [] });
});

it("remembers few runs, the latest ones", () => {
  const seen = new LastSeen();
  for (let nth = 0; nth < 20; nth++) seen.keep(`run ${nth}`, { known: [a, b], queue: [] });
  expect(seen.of("run 0", [a]).known).toEqual([a]);
  expect(seen.of("run 19", [a]).known).toEqual([a, b]);
});
