import { snapshot, today } from "../../../tests/demo-snapshot";
import { addDays, daysFrom } from "../quantities/plain-date";
import { breakdownGrounds, breakdownWords } from "./breakdown";

const filter = snapshot.slots.find((slot) => slot.id === "kiln-filter")!;
const fits = snapshot.history.entries
  .filter((event) => event.partId === filter.id && event.kind === "fitted")
  .map((event) => event.date);
const event = (date: typeof today) => ({
  id: "stop",
  kind: "breakdown" as const,
  unitId: "kiln-furnace",
  date,
  recordedAt: `${date}T08:00:00.000Z`,
});

describe("why a machine stopped", () => {
  it("names a filter that was full, as it stood before it was changed that day", () => {
    const changed = fits.at(-2)!;
    const [ground] = breakdownGrounds(snapshot, event(changed));
    expect(ground).toMatchObject({ kind: "filter", slot: { id: "kiln-filter" } });
    const [words] = breakdownWords(snapshot, event(changed));
    expect(words).toMatch(/^the filter was \d+ % full/);
  });

  it("says by how long it was over", () => {
    const late = {
      ...snapshot,
      events: snapshot.history.entries.filter((each) => each.date <= fits.at(-3)!),
    };
    const stopped = addDays(fits.at(-3)!, 300);
    const [words] = breakdownWords(late, event(stopped));
    expect(words).toMatch(/full, \d+ (weeks|months) over$/);
  });

  it("names no filter that was new, and no other machine’s", () => {
    const soon = addDays(fits.at(-1)!, 2);
    expect(daysFrom(fits.at(-1)!, soon)).toBe(2);
    expect(breakdownGrounds(snapshot, event(soon)).filter(({ kind }) => kind === "filter")).toEqual(
      [],
    );
    expect(breakdownGrounds(snapshot, { ...event(soon), unitId: "nowhere" })).toEqual([]);
  });

  it("names a day far from its usual weather", () => {
    const date = addDays(fits.at(-1)!, 2);
    const cold = { ...snapshot, actuals: [{ date, meanC: -30 }] };
    expect(breakdownWords(cold, event(date)).at(-1)).toMatch(/^a day \d+ K colder than usual$/);
    expect(breakdownWords({ ...snapshot, actuals: [] }, event(date))).toEqual([]);
  });
});
