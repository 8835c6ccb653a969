import { COMMAND_ID } from "@/lib/forms";
import { saveContact } from "@/features/inventory/contacts/contacts-actions";
import { beginUnit, saveParts } from "@/features/inventory/guided-add/set-up-actions";
import { saveDriver } from "@/features/inventory/household/household-actions";
import { saveRoom } from "@/features/inventory/rooms/rooms-actions";
import { removeThing } from "@/features/inventory/trash/removed-actions";
import {
  changePart,
  changeUnit,
  copyUnit,
  replaceUnit,
  retireUnit,
} from "@/features/inventory/units/unit-actions";
import { unitFieldsOf } from "@/features/inventory/units/unit-pages";
import { withdrawEntry } from "@/features/records/history-actions";
import { correctEntry, noteLook, writeNote } from "@/features/records/record-actions";
import { noteJobDone } from "@/features/schedule/jobs-actions";
import { plainDate } from "@/core/quantities/plain-date";
import { scheduleNow } from "@/server/snapshots/snapshot-cache";
import type { RunEvent } from "@/core/runs/run-event";
import { findRun, jobOfRun, listOpenRuns } from "@/db/repositories/runs";
import { startRun } from "@/features/runs/record/run-actions";
import { prepareOf } from "@/features/runs/prepare/prepare-queries";
import { recordRunEvents } from "@/server/commands/run-record";
import { inHome } from "@/server/commands/home-command";
import { record } from "@/server/commands/records";
import { actOnDemo, formOf, landing, nothingSent } from "./acting";
import type { DemoStore } from "./demo-store";
import { event, walk } from "./run-events";

jest.mock(
  "next/navigation",
  () => jest.requireActual<typeof import("./acting")>("./acting").navigation,
);
jest.setTimeout(60_000);

const HOME = "sluice-house";
const OTHER = "boathouse";
const WALK = "home.walk";
let demo: DemoStore;
beforeEach(async () => {
  // A store of its own for each test: what one interleaves is not the next one's.
  delete (globalThis as { amberStore?: unknown }).amberStore;
  demo = await actOnDemo();
});
afterEach(() => demo.discard());

const home = async (id = HOME) => (await demo.read(id)).snapshot;
const unit = async (id: string) => {
  const { units, retired } = await home();
  return [...units, ...retired].find((each) => each.id === id)!;
};
const named = (fields: Record<string, string | string[]>, id: string) =>
  formOf({ ...fields, [COMMAND_ID]: id });

/** The form of a unit as a page filled it, with something changed. */
async function unitForm(id: string, change: Record<string, string>) {
  const snapshot = await home();
  const fields = unitFieldsOf({ snapshot, unit: await unit(id), today: "2026-03-14" as never });
  return formOf({ ...fields, ...change });
}

describe("commands that come between each other", () => {
  it("retire a unit and change it: both hold", async () => {
    const form = await unitForm("gallery", { name: "Roof machine" });
    await Promise.all([
      landing(retireUnit(HOME, "gallery", nothingSent, formOf({ date: "2026-03-01" }))),
      landing(changeUnit(HOME, "gallery", nothingSent, form)),
    ]);
    expect(await unit("gallery")).toMatchObject({ name: "Roof machine", retiredOn: "2026-03-01" });
  });

  it("replace a unit twice: it gets one successor", async () => {
    const form = () => formOf({ date: "2026-03-10", kind: "condensing-furnace" });
    const before = (await home()).units.length;
    const led = await Promise.all(
      [1, 2].map(() => landing(replaceUnit(HOME, "cellar-furnace", nothingSent, form()))),
    );
    const { successorId } = await unit("cellar-furnace");
    expect(led.every((to) => to.includes(successorId!))).toBe(true);
    expect((await home()).units).toHaveLength(before);
    expect((await unit("cellar-furnace")).name).toBe("Cellar furnace, the old one");
  });

  it("save the parts of a unit twice: each is there once", async () => {
    const begun = await landing(beginUnit(HOME, nothingSent, formOf({ kind: "boiler" })));
    const id = begun.split("/")[4]!;
    const form = () => formOf({ part: ["magnetic-filter", "pressure"] });
    await Promise.all([1, 2].map(() => landing(saveParts(HOME, id, nothingSent, form()))));
    const kinds = (await home()).parts.flatMap((part) => (part.unitId === id ? part.kind : []));
    expect(kinds.sort()).toEqual(["magnetic-filter", "pressure"]);
  });

  it("correct an entry and withdraw it: one of them counts", async () => {
    const entry = (await home()).history.counted.findLast(({ kind }) => kind === "look")!;
    await Promise.all([
      landing(correctEntry(HOME, entry.id, nothingSent, formOf({ date: "2026-03-02" }))),
      withdrawEntry(HOME, entry.id),
    ]);
    const { entries } = (await home()).history;
    expect(entries.filter(({ corrects }) => corrects === entry.id)).toHaveLength(1);
  });

  it("save one room in two windows: the second is offered both versions", async () => {
    const room = (await home()).rooms[0]!;
    const fields = (name: string) => ({ name, levelId: room.levelId });
    const now = JSON.stringify({
      name: [room.name],
      levelId: [room.levelId],
      sleeps: room.sleeps ? ["on"] : [],
    });
    const sent = (name: string) =>
      formOf({ ...fields(name), ...(room.sleeps ? { sleeps: "on" } : {}), "opened-with": now });
    expect(await landing(saveRoom(HOME, room.id, nothingSent, sent("One")))).toMatch(/rooms$/);
    const second = await saveRoom(HOME, room.id, nothingSent, sent("Two"));
    expect(second.theirs).toMatchObject({ name: ["One"] });
    expect((await home()).rooms.find(({ id }) => id === room.id)!.name).toBe("One");
  });
});

describe("a command sent twice", () => {
  const note = (words: string, id = "note-command-1") => named({ date: "2026-03-14", words }, id);

  it("acts once, and leads to the same place", async () => {
    const before = (await home()).history.entries.length;
    const send = () => landing(writeNote(HOME, "gallery", nothingSent, note("it hums")));
    const led = await Promise.all([send(), send(), send()]);
    expect(new Set(led).size).toBe(1);
    expect((await home()).history.entries).toHaveLength(before + 1);
  });

  it("is refused where something else is asked under the same name, with all that was typed and a new name", async () => {
    const before = (await home()).history.entries.length;
    await landing(writeNote(HOME, "gallery", nothingSent, note("it hums")));
    const other = await writeNote(HOME, "gallery", nothingSent, note("it rattles"));
    expect(other.errors["form"]).toMatch(/saved already, with other values/);
    expect(other.values["words"]).toEqual(["it rattles"]);
    expect((await home()).history.entries).toHaveLength(before + 1);
    // Going Back to a saved form and pressing again adds one more, when it is pressed once more.
    await landing(writeNote(HOME, "gallery", nothingSent, note("it rattles", other.commandId)));
    expect((await home()).history.entries).toHaveLength(before + 2);
  });

  it("that was refused the first time is done the second", async () => {
    const before = (await home()).history.entries.length;
    const first = await writeNote(HOME, "gallery", nothingSent, note(""));
    expect(first.errors).toHaveProperty("words");
    await landing(writeNote(HOME, "gallery", nothingSent, note("it hums")));
    expect((await home()).history.entries).toHaveLength(before + 1);
  });

  it("copies a unit once, and tells of a job done once", async () => {
    const before = (await home()).units.length;
    const copies = await Promise.all(
      [1, 2].map(() => landing(copyUnit(HOME, "humidifier", "c-1"))),
    );
    expect(copies[0]).toBe(copies[1]);
    expect((await home()).units).toHaveLength(before + 1);
    const done = () =>
      landing(
        noteJobDone(
          HOME,
          "cellar-furnace.visit",
          nothingSent,
          named({ date: "2026-03-10", words: "", minutes: "", cost: "" }, "done-1"),
        ),
      );
    const [a, b] = [await done(), await done()];
    expect(a).toBe(b);
    const visits = (await home()).history
      .ofUnit("cellar-furnace")
      .filter(({ taskKey, date }) => taskKey === "visit" && date === "2026-03-10");
    expect(visits).toHaveLength(1);
  });

  it("counts a replaced alarm’s life from the day the new one was made, or says that nobody knows", async () => {
    const fields = { date: "2026-03-10", words: "", minutes: "", cost: "" };
    const replaced = (madeOn: string, id: string) =>
      noteJobDone(HOME, "alarm-ground.replace", nothingSent, named({ ...fields, madeOn }, id));
    const madeOn = async () =>
      (await home()).units.find(({ id }) => id === "alarm-ground")!.attributes["made-on"];
    const before = await madeOn();
    for (const [i, odd] of ["2026-12-01", "someday"].entries())
      expect(Object.keys((await replaced(odd, `odd-${i}`)).errors)).toEqual(["madeOn"]);
    expect(await madeOn()).toBe(before);
    await landing(replaced("2025-11-01", "new-1"));
    expect(await madeOn()).toBe("2025-11-01");
    const job = async () =>
      scheduleNow(await home(), plainDate("2026-03-14")).find(
        ({ task }) => task.id === "alarm-ground.replace",
      )!;
    expect((await job()).due! > "2030-11-01").toBe(true);
    await landing(replaced("", "new-2"));
    expect(await madeOn()).toBeUndefined();
  });

  it("is enough to enter a contact, a room or a driver once", async () => {
    const before = await home();
    const contact = () =>
      named({ name: "Fen Alder", role: "technician", phone: "", email: "", note: "" }, "contact-1");
    const room = () => named({ name: "Still room", levelId: before.levels[0]!.id }, "room-1");
    const driver = () =>
      named(
        { kind: "busy-road", scope: "home", count: "", fraction: "", from: "", to: "", label: "" },
        "driver-1",
      );
    for (let i = 0; i < 2; i++) {
      await landing(saveContact(HOME, null, nothingSent, contact()));
      await landing(saveRoom(HOME, null, nothingSent, room()));
      await landing(saveDriver(HOME, null, nothingSent, driver()));
    }
    const after = await home();
    expect(after.contacts).toHaveLength(before.contacts.length + 1);
    expect(after.rooms).toHaveLength(before.rooms.length + 1);
    expect(after.drivers).toHaveLength(before.drivers.length + 1);
  });
});

describe("what belongs to another home", () => {
  it("is not reached through this one", async () => {
    const [there, before] = [await home(OTHER), await home()];
    const foreign = {
      unit: there.units[0]!.id,
      slot: there.slots[0]!.id,
      part: there.parts[0]!.id,
    };
    const look = formOf({ slotId: foreign.slot, date: "2026-03-14", grade: "grey", drop: "" });
    expect(await landing(noteLook(HOME, nothingSent, look))).toBe("/");
    const words = formOf({ date: "2026-03-14", words: "from next door" });
    expect(await landing(writeNote(HOME, foreign.unit, nothingSent, words))).toBe("/");
    const name = formOf({ name: "Mine now" });
    expect(await landing(changePart(HOME, foreign.part, nothingSent, name))).toMatch(/house$/);
    expect(
      await landing(retireUnit(HOME, foreign.unit, nothingSent, formOf({ date: "2026-03-01" }))),
    ).toMatch(/house$/);
    for (const kind of ["unit", "slot", "room", "contact", "driver", "register", "home"] as const)
      await removeThing({ kind, homeId: HOME, id: kind === "home" ? OTHER : foreign.unit });
    await removeThing({ kind: "slot", homeId: HOME, id: foreign.slot });
    expect(await home(OTHER)).toEqual(there);
    expect((await home()).history.entries).toHaveLength(before.history.entries.length);
  });

  it("is refused in an entry as a mistake of ours", async () => {
    const [slot] = (await home(OTHER)).slots;
    const entry = { kind: "look", partId: slot!.id, date: "2026-03-14" as never } as const;
    await expect(inHome(HOME, (here) => record(here, entry))).rejects.toThrow("is not of home");
  });

  it("is refused in a run's event, and never blocks the run's end", async () => {
    const [slot] = (await home(OTHER)).slots;
    const ways = await prepareOf(HOME, WALK, undefined);
    const checks = Object.fromEntries(ways!.checks.map(({ id }) => [`check-${id}`, "on"]));
    const to = await landing(startRun(HOME, WALK, ways!.way.value, nothingSent, formOf(checks)));
    const runId = to.replace("/runs/", "");
    const run = (await findRun(demo.store.db, runId))!;
    const now = new Date("2026-03-14T08:30:00Z");
    const dated = (events: RunEvent[]) =>
      events.map((each, i) => ({
        ...each,
        at: new Date(Date.parse("2026-03-14T08:00:00Z") + i * 1000).toISOString(),
      }));
    const first = run.procedure.steps[0]!.id;
    const foreign = [slot!.id, "nowhere"].map((place) =>
      event({ kind: "done", step: first, place }),
    );
    const refused = await recordRunEvents(runId, dated(foreign), now);
    expect(refused).toMatchObject({
      refused: foreign.map(({ id }) => ({ id, why: "unknown-place" })),
    });
    const good = dated([...walk(jobOfRun(run)), event({ kind: "finished" })]);
    const end = await recordRunEvents(runId, [...dated(foreign), ...good], now);
    expect(end).toMatchObject({ kind: "recorded", state: { status: "finished" } });
    expect((await listOpenRuns(demo.store.db, HOME)).map(({ id }) => id)).not.toContain(runId);
  });
});
