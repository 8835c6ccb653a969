import { sluiceHouse } from "../src/content/demo/sluice-house";
import { dayIn } from "../src/core/quantities/plain-date";
import type { Store } from "../src/db/client";
import { insertDriver } from "../src/db/repositories/drivers";
import { appendEvent } from "../src/db/repositories/history";
import {
  insertHome,
  insertLevel,
  listHomes,
  recordWeatherDays,
} from "../src/db/repositories/homes";
import { insertItem, insertSlot } from "../src/db/repositories/parts";
import { appendEndEntry } from "../src/db/repositories/runs";
import { insertWearTask } from "../src/db/repositories/tasks";
import { insertSystem, insertUnit } from "../src/db/repositories/units";

/** Enters Sluice House, unless the database has a home already: then it is left as it is. */
export async function seedDemo(store: Store, at: Date): Promise<boolean> {
  if ((await listHomes(store.db)).length > 0) return false;
  const { book, ends } = sluiceHouse(dayIn("Etc/UTC", at.getTime()), at);
  const homeId = book.home.id;
  // Rows entered in one instant still need an order.
  const created = (i: number) => new Date(at.getTime() - 1000 + i).toISOString();
  await store.write(async (tx) => {
    await insertHome(tx, book.home, created(0));
    for (const level of book.levels) await insertLevel(tx, homeId, level);
    for (const system of book.systems) await insertSystem(tx, homeId, system);
    for (const [i, unit] of book.units.entries()) await insertUnit(tx, homeId, unit, created(i));
    for (const [i, slot] of book.slots.entries()) await insertSlot(tx, slot, created(i));
    for (const [i, driver] of book.drivers.entries())
      await insertDriver(tx, homeId, driver, created(i));
    for (const task of book.tasks)
      await insertWearTask(
        tx,
        homeId,
        { id: task.id, unitId: task.unitId!, partId: task.partId!, procedureId: task.procedureId },
        created(0),
      );
    for (const item of book.items) await insertItem(tx, item);
    for (const event of book.events) await appendEvent(tx, homeId, event);
    for (const end of ends) await appendEndEntry(tx, homeId, end);
    await recordWeatherDays(tx, homeId, book.actuals);
  });
  return true;
}
