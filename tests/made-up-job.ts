import { addDays, plainDate } from "../src/core/quantities/plain-date";
import type { Qualification } from "../src/core/runs/qualification";
import type { JobStatus } from "../src/core/scheduling/schedule";

/** A Wednesday. */
export const wednesday = plainDate("2026-03-11");
export const at = (days: number) => addDays(wednesday, days);

export type JobFacts = {
  due?: number | null;
  opens?: number;
  minutes?: number;
  safety?: boolean;
  who?: Qualification;
  off?: boolean;
  done?: number;
};

/** A job as it stands on that Wednesday, its days counted from it. */
export const madeUpJob = (id: string, facts: JobFacts = {}): JobStatus => {
  const { due = 0, opens = -900, minutes = 20, safety = false, done } = facts;
  return {
    task: {
      ...{ id, key: id, name: id, kind: "home", trigger: { kind: "wear" } },
      ...{ who: facts.who ?? "owner", handsOn: minutes, waiting: 0 },
      ...{ procedureIds: [], alsoDoes: [], settles: [], isOff: facts.off ?? false },
      ...{ isChanged: false, isSafety: safety, isUnreadable: false, isOwn: false },
    },
    unit: null,
    waits: null,
    opens: due === null ? null : at(opens),
    due: due === null ? null : at(due),
    closes: due === null ? null : at(due + 5),
    state: due === null ? "none" : due < -5 ? "past" : due <= 0 ? "due" : "open",
    because: { kind: "wear" },
    lastDone: done === undefined ? null : at(done),
    ...{ since: null, deferral: null, called: null, isFirstTime: false, apart: [], problem: null },
    ahead: due === null ? [] : [at(Math.max(0, due))],
  };
};
