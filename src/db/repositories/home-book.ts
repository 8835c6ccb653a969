import type { PlainDate } from "@/core/quantities/plain-date";
import type { HomeBook } from "@/core/register/register";
import type { Reader } from "../client";
import { listDrivers } from "./drivers";
import { listEventsOfParts } from "./history";
import { findHome, listLevels, listWeatherDays } from "./homes";
import { listItems, listSlots } from "./parts";
import { listTasks } from "./tasks";
import { listMeasuredHours, listSystems, listUnits } from "./units";

/** Reads a home with everything its due dates follow from; null when there is none of that id. */
export async function readHomeBook(db: Reader, homeId: string): Promise<HomeBook | null> {
  const home = await findHome(db, homeId);
  if (!home) return null;
  const [levels, systems, units, slots, drivers, tasks, weather] = [
    await listLevels(db, homeId),
    await listSystems(db, homeId),
    await listUnits(db, homeId),
    await listSlots(db, homeId),
    await listDrivers(db, homeId),
    await listTasks(db, homeId),
    await listWeatherDays(db, homeId),
  ];
  const partIds = slots.map((slot) => slot.id);
  return {
    home,
    levels,
    systems,
    units,
    slots,
    drivers,
    tasks,
    items: await listItems(db, partIds),
    events: await listEventsOfParts(db, partIds),
    actuals: weather.map((day) => ({ date: day.date as PlainDate, meanC: day.meanC })),
    measured: await listMeasuredHours(
      db,
      systems.map((system) => system.id),
    ),
  };
}
