import fc from "fast-check";
import { previewDriver } from "@/features/inventory/household/driver-preview";
import { StoreTrouble } from "@/lib/store-trouble";
import { asUnreadable, scheduleNow } from "@/server/snapshots/snapshot-cache";
import { addDays, plainDate } from "@/core/quantities/plain-date";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { saveContact } from "@/features/inventory/contacts/contacts-actions";
import { fieldsOfContact } from "@/features/inventory/contacts/contacts-queries";
import { contactsOf } from "@/features/inventory/contacts/contacts-queries";
import { removeDriver, saveDriver } from "@/features/inventory/household/household-actions";
import { driverForm } from "@/features/inventory/household/household-form";
import { changeJob, noteJobDone } from "@/features/schedule/jobs-actions";
import { jobFormOf } from "@/features/schedule/job-form-values";
import { jobPageOf } from "@/features/schedule/jobs-queries";
import { bringBack, removeThing } from "@/features/inventory/trash/removed-actions";
import { NOT_THERE, removableSchema } from "@/server/commands/trash";
import { removedOf } from "@/features/inventory/trash/removed-queries";
import { changeHome } from "@/features/inventory/homes/setup-actions";
import { homeFieldsOf } from "@/features/inventory/homes/setup-queries";
import { changeSlot } from "@/features/inventory/filters/slot-actions";
import { slotFieldsOf } from "@/features/inventory/filters/slot-queries";
import { withdrawEntry } from "@/features/records/history-actions";
import { actOnDemo, formOf, landing, nothingSent } from "./acting";
import type { DemoStore } from "./demo-store";
import { todayOf } from "@/features/today/today-queries";
import { emergencyListOf, forAllIfUnreadable } from "@/features/emergency/emergency-queries";
import { technicianPage } from "@/features/schedule/round/technician-queries";
import { shellOf, shellOrWhy } from "@/features/timeline/shell-queries";

jest.mock(
  "next/navigation",
  () => jest.requireActual<typeof import("./acting")>("./acting").navigation,
);
jest.setTimeout(90_000);

const HOME = "sluice-house";
const DUCT = "dryer-dryer-duct.brush";
const today = plainDate("2026-03-14");
let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
afterAll(() => demo.discard());

const snapshot = async (): Promise<HomeSnapshot> => (await demo.read(HOME)).snapshot;
const run = (sql: string, ...args: string[]) => demo.store.client.execute({ sql, args });
const opens = async () => {
  const data = await todayOf(HOME);
  expect(data?.closer.length).toBeGreaterThan(0);
  return data!;
};

describe("a home always opens", () => {
  it("names one that cannot be read and keeps it as it is, while the others open", async () => {
    const spoil = (sql: string, id: string) => run(sql, id);
    const row = async () => (await run("SELECT * FROM homes WHERE id = ?", "boathouse")).rows[0]!;
    const before = await row();
    await spoil("UPDATE homes SET monthly_mean_c = 'warm' WHERE id = ?", "boathouse");
    const spoiled = { ...(await row()) };
    expect(await shellOrWhy("boathouse")).toEqual({
      ...{ unreadable: "The boathouse", why: "its climate cannot be made out" },
      others: [{ id: HOME, name: "Sluice House" }],
    });
    expect((await shellOf(HOME))?.homes.map(({ name }) => name)).toEqual([
      "Sluice House",
      "The boathouse",
    ]);
    expect((await technicianPage(HOME))?.homes).toBe(1);
    // Its emergencies are those of every home.
    expect(await forAllIfUnreadable(emergencyListOf("boathouse"))).toBe("for-all");
    await opens();
    expect({ ...(await row()) }).toEqual(spoiled);
    await spoil(
      `UPDATE homes SET monthly_mean_c = '${String(before["monthly_mean_c"])}' WHERE id = ?`,
      "boathouse",
    );
    // What has no meaning somewhere inside is told the same way; a store that is busy is not.
    const said = jest.spyOn(console, "error").mockImplementation(() => undefined);
    const odd = await asUnreadable(HOME, new Error("levels of no house"));
    expect(odd).toMatchObject({ home: "Sluice House", why: "something in it has no meaning" });
    const busy = new StoreTrouble("busy", null);
    expect(await asUnreadable(HOME, busy)).toBe(busy);
    said.mockRestore();
  });

  it("refuses at its field a job that would come round every 101 years, and dates beyond any", async () => {
    const filled = jobFormOf((await jobPageOf(HOME, DUCT))!).values;
    const often = (n: string) =>
      changeJob(HOME, DUCT, nothingSent, formOf({ ...filled, by: "every", n, unit: "year" }));
    for (const n of ["101", "-5", "0x10", "1e9", "0"])
      expect(Object.keys((await often(n)).errors)).toEqual(["n"]);
    await opens();
  });

  it("shows nothing for an absence from the year 202, and saves none", async () => {
    const away = { kind: "away", scope: "home", count: "", fraction: "1", label: "", to: "" };
    for (const from of ["0202-01-01", "202-01-01", "2026-02-30", "9999-12-31"]) {
      const form = formOf({ ...away, from });
      expect(await previewDriver(HOME, null, form)).toBeNull();
      expect(Object.keys((await saveDriver(HOME, null, nothingSent, form)).errors)).toEqual([
        "from",
      ]);
    }
    await opens();
  });

  it("opens without the clean drop that its pressure looks were compared with", async () => {
    await run("UPDATE filter_slots SET clean_drop_pa = NULL");
    await opens();
    const slot = (await snapshot()).slots.find(({ id }) => id === "cellar-filter")!;
    expect(slot.cleanDropPa).toBeUndefined();
  });

  it("names what cannot be read where it belongs, while all else works", async () => {
    const insert =
      "INSERT INTO tasks (id, home_id, unit_id, part_id, task_key, changes, created_at) VALUES (?, 'sluice-house', 'dryer', 'dryer-dryer-duct', 'brush', ?, '2026-03-14')";
    await run(insert, "odd", '{"cadence": {"kind": "lunar"}}');
    const data = await opens();
    expect(data.problems.map(({ words }) => words).join()).toMatch(/can’t be read/);
    await run("DELETE FROM tasks WHERE id = 'odd'");
    expect((await opens()).problems).toEqual([]);
  });

  it("opens whatever the columns of a unit, a driver or a reading hold", async () => {
    await run("UPDATE units SET answers = '{\"reached\": 7}' WHERE id = 'gallery'");
    await run(
      "UPDATE readings SET grounds = '[[' WHERE event_id IN (SELECT event_id FROM readings LIMIT 3)",
    );
    await run(
      "UPDATE air_systems SET equipment = '{}' WHERE id = (SELECT system_id FROM units WHERE id = 'box-cooler')",
    );
    await opens();
  });
});

describe("what a form accepts the store gives back", () => {
  const odd = fc.string({ maxLength: 40, unit: "grapheme" }).filter((text) => text.trim() !== "");

  it("of the people and things around: every accepted entry is there afterwards, and Today opens", async () => {
    await fc.assert(
      fc.asyncProperty(
        odd,
        fc.integer({ min: -400, max: 400 }),
        fc.integer({ min: 0, max: 900 }),
        async (label, from, length) => {
          const day = addDays(today, from);
          const fields = {
            ...{ kind: "away", scope: "home", count: "", fraction: "1", label },
            ...{ from: day, to: addDays(day, length) },
          };
          fc.pre(driverForm.safeParse(fields).success);
          await landing(saveDriver(HOME, null, nothingSent, formOf(fields)));
          const saved = (await snapshot()).drivers.at(-1)!;
          expect(saved).toMatchObject({ from: day, label: label.trim() });
          await opens();
          await removeDriver(HOME, saved.id);
        },
      ),
      { numRuns: 12 },
    );
  });

  it("of a slot, a home and its mains: saving what is shown changes nothing", async () => {
    const before = await snapshot();
    for (const slot of before.slots.slice(0, 8)) {
      const fields = slotFieldsOf({ snapshot: before, slot });
      await landing(changeSlot(HOME, slot.id, nothingSent, formOf(fields)));
    }
    await landing(changeHome(HOME, nothingSent, formOf((await homeFieldsOf(HOME))!)));
    const after = await snapshot();
    expect(after.slots).toEqual(before.slots);
    expect(after.home.climate).toEqual(before.home.climate);
    const mains = { mainWater: "behind the coats", mainWaterOff: "", mainGas: "", mainGasOff: "" };
    await landing(
      changeHome(HOME, nothingSent, formOf({ ...(await homeFieldsOf(HOME))!, ...mains })),
    );
    expect((await snapshot()).home.mains).toEqual({
      ...before.home.mains,
      water: { place: "behind the coats" },
      gas: undefined,
    });
  });
});

describe("two who change one thing", () => {
  it("are offered both: nothing of the first is written over unseen", async () => {
    const contact = (await contactsOf(HOME))!.rows[0]!.contact;
    const opened = { "opened-with": JSON.stringify(fieldsOfContact(contact)) };
    const fields = fieldsOfContact(contact);
    const save = (name: string) =>
      saveContact(HOME, contact.id, nothingSent, formOf({ ...fields, name, ...opened }));
    await landing(save("First to save"));
    const second = await save("Second to save");
    expect(second.theirs).toMatchObject({ name: ["First to save"] });
    expect(second.values).toMatchObject({ name: ["Second to save"] });
    expect((await contactsOf(HOME))!.rows.map(({ contact: { name } }) => name)).toContain(
      "First to save",
    );
  });
});

describe("removed things", () => {
  it("keep an entry that was taken out until it is brought back, in its words", async () => {
    await landing(
      noteJobDone(
        HOME,
        "home.walk",
        nothingSent,
        formOf({ date: "2026-03-13", words: "by torch", minutes: "", cost: "" }),
      ),
    );
    const entry = (await snapshot()).history.entries.at(-1)!;
    const withdrawal = await withdrawEntry(HOME, entry.id);
    const [first] = await removedOf(HOME);
    expect(first).toMatchObject({ kind: "entry", id: withdrawal });
    expect(first!.name).toMatch(/^Fri 13 Mar: /);
    const walk = () => async () =>
      scheduleNow(await snapshot(), today).find(({ task }) => task.id === "home.walk")!;
    expect((await walk()()).lastDone).not.toBe("2026-03-13");
    await bringBack({ kind: "entry", homeId: HOME, id: first!.id });
    expect((await walk()()).lastDone).toBe("2026-03-13");
    expect((await removedOf(HOME)).map(({ id }) => id)).not.toContain(first!.id);
  });

  it("keep somebody of the household the same way", async () => {
    const { id } = (await snapshot()).drivers[0]!;
    await removeDriver(HOME, id);
    const gone = (await removedOf(HOME)).find((each) => each.id === id)!;
    expect(gone.kind).toBe("driver");
    await bringBack({ kind: "driver", homeId: HOME, id });
    expect((await snapshot()).drivers.map((each) => each.id)).toContain(id);
  });

  it("says in words that there is nothing of that kind to remove or bring back, and changes nothing", async () => {
    const home = await snapshot();
    const ids = {
      unit: "yard-condenser",
      slot: "cellar-filter",
      contact: home.contacts[0]!.id,
      entry: home.history.entries.at(-1)!.id,
      person: home.year.people[0]!.id,
    };
    const odd = ["", "nobody", "'; --", "🪟"];
    const { kind: kinds } = removableSchema.shape;
    for (const kind of kinds.options)
      for (const id of [
        ...odd,
        ...Object.entries(ids).flatMap(([of, id]) => (of === kind ? [] : [id])),
      ])
        for (const deed of [removeThing, bringBack]) {
          const said = await deed({ kind, homeId: HOME, id });
          expect([kind, id, said]).toEqual([kind, id, NOT_THERE]);
        }
    // Of another home, of a kind there is none of, and what is no question at all.
    const elsewhere = { kind: "unit", homeId: "boathouse", id: ids.unit } as const;
    expect(await removeThing(elsewhere)).toBe(NOT_THERE);
    for (const target of [{ ...elsewhere, kind: "wall" }, null, 7])
      expect(await removeThing(target as typeof elsewhere)).toBe(NOT_THERE);
    expect((await snapshot()).units).toEqual(home.units);
    expect((await snapshot()).history.entries).toHaveLength(home.history.entries.length);
    // What is there goes and comes back.
    const unit = { kind: "unit", homeId: HOME, id: ids.unit } as const;
    expect(await removeThing(unit)).toBeNull();
    expect((await snapshot()).units.map(({ id }) => id)).not.toContain(ids.unit);
    expect(await bringBack(unit)).toBeNull();
    expect((await snapshot()).units.map(({ id }) => id)).toContain(ids.unit);
  });
});
