import { procedure } from "@/content/procedures/library";
import { asItShouldBe } from "@/core/inventory/as-it-should-be";
import { endsOfHome } from "@/core/runs/home-ends";
import { usualVariant } from "@/core/runs/procedure";
import type { RunEvent } from "@/core/runs/run-event";
import { factsOf } from "@/core/runs/place-facts";
import { findRun, jobOfRun, listEndEntries } from "@/db/repositories/runs";
import { updateUnit } from "@/db/repositories/units";
import { settingsAt } from "@/presentation/setting-words";
import { actOnDemo } from "../../../tests/acting";
import type { DemoStore } from "../../../tests/demo-store";
import { event, walk } from "../../../tests/run-events";
import { inHome } from "./home-command";
import { recordRunEvents } from "./run-record";
import { beginRun } from "./runs";

jest.setTimeout(60_000);
const HOME = "sluice-house";
const NOW = new Date("2026-03-14T12:00:00Z");
let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
afterAll(() => demo.discard());

const home = () => demo.read(HOME);
const sheet = async () =>
  asItShouldBe((await home()).snapshot.settings).map(({ label, value }) => `${label}: ${value}`);

/** A job begun as its form begins it. */
async function begin(procedureId: string, unitId: string, taskKey: string, partId?: string) {
  const id = await inHome(HOME, async (open) => {
    const { units, slots, parts } = open.snapshot;
    const unit = units.find((each) => each.id === unitId)!;
    const slot = slots.find((each) => each.id === partId);
    const part = slot ?? parts.find((each) => each.id === partId);
    const found = procedure(procedureId)!;
    const facts = factsOf({ units: [], slots: [], parts }, { unit, slot });
    const variant = usualVariant(found);
    const begun = { taskKey, unit, part, procedure: found, variant, facts };
    return beginRun(open, { ...begun, qualification: "owner" });
  });
  return { id: id!, job: jobOfRun((await findRun(demo.store.db, id!))!) };
}
const record = (id: string, events: readonly RunEvent[]) => recordRunEvents(id, [...events], NOW);
const parked = async () => {
  const { going } = await home();
  const log = await listEndEntries(demo.store.db, HOME);
  return endsOfHome(NOW.toISOString(), log, going).parked.map(({ label }) => label);
};

describe("a humidifier through its year", () => {
  it("is laid by with its settings on the sheet, and woken by its winter job alone", async () => {
    const summer = await begin("humidifier-summer", "humidifier", "summer", "humidifier-damper");
    const events = walk(summer.job, { seen: { humidistat: { words: "38 %" } } });
    await record(summer.id, [...events, event({ kind: "finished" })]);
    expect(await parked()).toEqual(["humidistat off", "water shut", "damper shut"]);
    expect(await sheet()).toContain("Humidistat: 38 %");
    const { snapshot, recordedEnds, going } = await home();
    const laidBy = endsOfHome(NOW.toISOString(), recordedEnds, going).parked;
    const lines = settingsAt(snapshot, laidBy).map(({ place, label, isParked }) => [
      `${place}: ${label}`,
      isParked,
    ]);
    expect(lines).toContainEqual(["Cellar humidifier: Humidistat", true]);
    expect(lines).toContainEqual(["Loft ventilator: Level", false]);

    const winter = await begin("humidifier-winter", "humidifier", "winter", "humidifier-damper");
    expect(winter.job.setting.parked!.map(({ key }) => key)).toEqual([
      "humidistat",
      "water",
      "damper",
    ]);
    const finish = event({ kind: "finished" });
    await record(winter.id, [
      ...walk(winter.job, { seen: { humidistat: { words: "35 %" } } }),
      finish,
    ]);
    expect(await parked()).toEqual([]);

    // The finish taken back: laid by once more, and the sheet as it was before.
    await record(winter.id, [event({ kind: "undone" })]);
    expect(await parked()).toEqual(
      expect.arrayContaining(["humidistat off", "water shut", "damper shut"]),
    );
    expect(await sheet()).toContain("Humidistat: 38 %");
  });
});

describe("a plate read on the way", () => {
  it("belongs to its machine and its part from then on, though the job comes to nothing", async () => {
    const { id, job } = await begin(
      "change-water-panel",
      "humidifier",
      "renew",
      "humidifier-panel",
    );
    const until = walk(job, { until: "panel-out" });
    const plates = [
      { of: "unit", identity: { serial: "T-77", madeOn: "2019-08-01" } },
      { of: "part", identity: { panelNumber: "P-10", tool: "thumb screw" } },
    ].map((plate) => event({ kind: "plate", step: "panel-out", ...plate }));
    const aborted = event({
      kind: "turned-back",
      step: "panel-out",
      reason: "other",
      words: "no panel",
    });
    const back = walk(job, { from: [...until, ...plates, aborted] });
    await record(id, [...back, event({ kind: "finished" })]);
    const { units, slots } = (await home()).snapshot;
    expect(units.find((each) => each.id === "humidifier")).toMatchObject({
      serial: "T-77",
      attributes: { "made-on": "2019-08-01", duct: "return" },
    });
    expect(slots.find((each) => each.id === "humidifier-panel")!.identity).toEqual({
      panelNumber: "P-10",
      tool: "thumb screw",
    });
    const { rows } = await demo.store.client.execute(
      "SELECT ref_id FROM search_words JOIN search_entries ON search_entries.id = search_words.rowid WHERE search_words MATCH '\"P-10\"'",
    );
    expect(rows.map(({ ref_id }) => ref_id)).toEqual(["humidifier-panel"]);
  });
});

describe("two machines on one breaker", () => {
  it("have no power while one of them stands open", async () => {
    const shutOff = { kind: "breaker" as const, place: "number 4, stable board" };
    for (const unitId of ["studio-pump", "workshop-heater"])
      await demo.store.write(async (tx) => {
        const unit = (await home()).snapshot.units.find(({ id }) => id === unitId)!;
        await updateUnit(tx, { ...unit, shutOffs: [{ id: `${unitId}-b`, ...shutOff }] });
      });
    const filters = await begin("clean-heater-mesh", "workshop-heater", "renew", "heater-filters");
    await record(filters.id, walk(filters.job, { until: "look" }));
    const head = await begin(
      "look-at-head-coil",
      "studio-pump",
      "look",
      "studio-pump-evaporator-coil",
    );
    expect(head.job.place.together).toEqual([
      { end: "breaker-off", units: ["studio-pump", "workshop-heater"] },
    ]);
    const until = walk(head.job, { until: "power-on" });
    await record(head.id, until);
    const at = new Date(Date.parse(until.at(-1)!.at) + 60_000).toISOString();
    const press = event({ kind: "done", step: "power-on", round: 0, at });
    expect(await record(head.id, [press])).toMatchObject({
      refused: [{ id: press.id, why: "power-comes-last" }],
    });
  });
});
