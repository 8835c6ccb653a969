import { addDays, daysFrom, plainDate, type PlainDate } from "../src/core/quantities/plain-date";
import { planInput, type PlanInput } from "../src/core/planning/plan-schema";

/** A Saturday. */
export const saturday = plainDate("2026-03-14");
export const on = (offset: number): PlainDate => addDays(saturday, offset);
const horizonEnd = on(60);

type Raw = Record<string, unknown>;

/** Each day done opens the next window after 20 days, is due after 30, and closes after 40. */
const monthly = (lastDone: PlainDate) => {
  const rows = daysFrom(lastDone, horizonEnd) + 1;
  const table = (span: number) =>
    Array.from({ length: rows }, (_, i) => addDays(lastDone, i + span));
  return { from: lastDone, opens: table(20), due: table(30), closes: table(40) };
};

/** A task of ten minutes, due every thirty days from yesterday on. */
export const madeUpTask = (id: string, extra: Raw = {}): Raw => {
  const lastDone = (extra["lastDone"] as PlainDate | undefined) ?? on(-1);
  return {
    ...{ id, unit: "furnace", crew: "owner", handsOn: 10, lastDone },
    windows: monthly(lastDone),
    ...extra,
  };
};

export const ownerCrew = {
  ...{ id: "owner", kind: "owner", capMinutes: 120, capScope: "home-day" },
  days: { weekdays: [1, 2, 3, 4, 5, 6, 7] },
};
export const technicianCrew = {
  ...{ id: "technician", kind: "technician", capMinutes: 420, capScope: "day" },
  days: { weekdays: [1, 2, 3, 4, 5] },
};

/** Two machines of one home, the one above the other, and what is done at them. */
export const madeUpInput = (tasks: readonly Raw[], extra: Raw = {}): PlanInput =>
  planInput.parse({
    ...{ today: saturday, horizonEnd, iterations: 200, crews: [ownerCrew, technicianCrew] },
    units: [
      { id: "furnace", home: "home", level: -1 },
      { id: "ventilator", home: "home", level: 3 },
      { id: "condenser", home: "home", level: 0 },
    ],
    tasks,
    ...extra,
  });
