import sharp from "sharp";
import { LIVED_DAYS, sluiceHouse, theBoathouse, type Demo } from "../demo/demo-homes";
import { demoYear } from "../demo/demo-year";
import type { DemoRun } from "../demo/sluice-house";
import type { DemoPhoto } from "../demo/demo-photos";
import { procedure } from "../src/content/procedures/library";
import { usualVariant } from "../src/core/runs/procedure";
import { isolatorOf } from "../src/core/inventory/inventory";
import { type HomeSnapshot } from "@/core/history/home-snapshot";
import { dayIn } from "../src/core/quantities/plain-date";
import type { Store, Tx } from "../src/db/client";
import { insertContact } from "../src/db/repositories/contacts";
import { insertDriver } from "../src/db/repositories/drivers";
import { appendEvents } from "../src/db/repositories/history";
import {
  insertHome,
  insertLevel,
  listHomes,
  recordWeatherDays,
} from "../src/db/repositories/homes";
import { insertItem, insertPart, insertSlot } from "../src/db/repositories/parts";
import { insertPhoto } from "../src/db/repositories/photos";
import { insertRegister, insertRoom } from "../src/db/repositories/rooms";
import { appendRunEvents, insertRun } from "../src/db/repositories/runs";
import { insertOwnProcedure } from "../src/db/repositories/own-procedures";
import { insertSetting } from "../src/db/repositories/settings";
import { ensureTask, saveTask } from "../src/db/repositories/tasks";
import { insertFinding, insertInstrument, insertVisit } from "../src/db/repositories/visits";
import { insertPlan, putPerson } from "../src/db/repositories/year";
import { insertSystem, insertUnit } from "../src/db/repositories/units";

/** The homes were entered before their record begins. */
const LIVED_MS = LIVED_DAYS * 86_400_000;

/** Enters both homes of the demo, unless the database has a home already: then it is left as it is. */
export async function seedDemo(store: Store, at: Date): Promise<boolean> {
  if ((await listHomes(store.db)).length > 0) return false;
  const today = dayIn("Etc/UTC", at.getTime());
  const sluice = sluiceHouse(today, at);
  const year = demoYear(sluice.snapshot, today);
  const demos = [{ ...sluice, snapshot: { ...sluice.snapshot, year } }, theBoathouse(today)];
  await store.write(async (tx) => {
    for (const [i, demo] of demos.entries())
      await enterHome(tx, demo, new Date(at.getTime() - LIVED_MS - 10_000 * (demos.length - i)));
  });
  return true;
}

/** Enters a home with its whole record. */
export async function enterHome(
  tx: Tx,
  { snapshot: book, runs, photos }: Demo,
  at: Date,
): Promise<void> {
  const homeId = book.home.id;
  // Rows entered in one instant still need an order.
  const created = (i: number) => new Date(at.getTime() + i).toISOString();
  await insertHome(tx, book.home, created(0));
  for (const level of book.levels) await insertLevel(tx, homeId, level);
  for (const [i, room] of book.rooms.entries()) await insertRoom(tx, homeId, room, created(i));
  for (const [i, register] of book.registers.entries())
    await insertRegister(tx, register, created(i));
  for (const [i, contact] of book.contacts.entries())
    await insertContact(tx, homeId, contact, created(i));
  for (const system of book.systems) await insertSystem(tx, homeId, system);
  for (const [i, unit] of book.units.entries()) await insertUnit(tx, homeId, unit, created(i));
  for (const [i, slot] of book.slots.entries()) await insertSlot(tx, slot, created(i));
  for (const [i, part] of book.parts.entries()) await insertPart(tx, part, created(100 + i));
  for (const [i, driver] of book.drivers.entries())
    await insertDriver(tx, homeId, driver, created(i));
  for (const task of book.tasks) await saveTask(tx, homeId, task, created(0));
  for (const own of book.ownProcedures) await insertOwnProcedure(tx, homeId, own, created(0));
  for (const setting of book.settings) await insertSetting(tx, homeId, setting, created(0));
  for (const instrument of book.instruments)
    await insertInstrument(tx, homeId, instrument, created(0));
  for (const [i, visit] of book.visits.entries()) await insertVisit(tx, homeId, visit, created(i));
  for (const [i, finding] of book.findings.entries()) await insertFinding(tx, finding, created(i));
  for (const [i, person] of book.year.people.entries())
    await putPerson(tx, homeId, person, created(i));
  for (const each of [book.year.current, book.year.draft])
    if (each) await insertPlan(tx, homeId, each, each.publishedAt ?? created(0));
  for (const item of book.items) await insertItem(tx, item);
  await appendEvents(tx, homeId, book.history.entries);
  for (const run of runs) await enterRun(tx, book, run);
  for (const photo of photos) await enterPhoto(tx, homeId, photo);
  await recordWeatherDays(tx, homeId, book.actuals);
}

/** A run that was begun and left: what it did so far, and nothing of it in the record yet. */
async function enterRun(tx: Tx, snapshot: HomeSnapshot, run: DemoRun): Promise<void> {
  const { id, unitId, partId, taskKey, procedureId, startedAt, events } = run;
  const homeId = snapshot.home.id;
  const unit = snapshot.units.find((each) => each.id === unitId);
  const job = procedure(procedureId);
  if (!unit || !job) throw new Error(`enterRun: nothing to run at ${unitId}`);
  const task = { id: `${id}-task`, unitId, partId, key: taskKey, changes: {} };
  await insertRun(tx, {
    id,
    homeId,
    unitId,
    partId,
    taskId: await ensureTask(tx, homeId, task, startedAt),
    procedureId,
    procedure: job,
    facts: [],
    variant: usualVariant(job),
    qualification: "owner",
    isolator: isolatorOf(unit),
    parked: [],
    inRound: null,
    together: [],
    startedAt,
    endedAt: null,
  });
  const { photo } = run;
  await appendRunEvents(tx, id, [
    ...events,
    {
      id: `${photo.id}-taken`,
      at: events.at(-1)!.at,
      kind: "photo",
      photo: photo.id,
      step: photo.step,
      moment: photo.moment,
    },
  ]);
}

/** A picture drawn for the demo, kept as one that was taken. */
async function enterPhoto(tx: Tx, homeId: string, photo: DemoPhoto): Promise<void> {
  const { svg, addedOn, runId, ...rest } = photo;
  const { data, info } = await sharp(Buffer.from(svg))
    .jpeg({ quality: 82 })
    .toBuffer({ resolveWithObject: true });
  await insertPhoto(
    tx,
    {
      ...rest,
      homeId,
      runId: runId ?? null,
      stop: null,
      visitId: null,
      findingId: null,
      step: null,
      mime: "image/jpeg",
      width: info.width,
      height: info.height,
      byteCount: data.length,
      addedAt: `${addedOn}T10:00:00Z`,
      deletedAt: null,
    },
    data,
  );
}
