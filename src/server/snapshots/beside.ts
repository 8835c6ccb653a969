import "server-only";
import { MAINS, type Main } from "@/core/inventory/inventory";
import { mainPicture } from "@/core/inventory/first-walk";
import { appStore } from "@/db/app-store";
import type { Reader } from "@/db/client";
import * as drivers from "@/db/repositories/drivers";
import * as find from "@/db/repositories/find";
import * as history from "@/db/repositories/history";
import * as homes from "@/db/repositories/homes";
import * as photos from "@/db/repositories/photos";
import * as removed from "@/db/repositories/removed";
import * as runs from "@/db/repositories/runs";
import * as units from "@/db/repositories/units";
import * as visits from "@/db/repositories/visits";
import * as walk from "@/db/repositories/walk";
import * as readRuns from "./read-runs";

/** What pages read beside the snapshot of a home: nothing that a due date follows from. */
const reading =
  <A extends unknown[], T>(read: (db: Reader, ...args: A) => Promise<T>) =>
  async (...args: A): Promise<T> =>
    (await appStore()).read((db) => read(db, ...args));

export const listHomes = reading(homes.listHomes);
export const listUnreadable = reading(homes.listUnreadable);
export const findHome = reading(homes.findHome);
export const listNotices = reading(homes.listNotices);
export const findByWords = reading(find.findByWords);
export const findBySize = reading(find.findBySize);
export const findDraft = reading(units.findDraft);
export const listUnits = reading(units.listUnits);
export const listNos = reading(drivers.listNos);
export const listRemoved = reading(removed.listRemoved);
export const listWithdrawn = reading(history.listWithdrawn);
export const listEventsOfRun = reading(history.listEventsOfRun);
export const findPhoto = reading(photos.findPhoto);
export const readPhotoBytes = reading(photos.readPhotoBytes);
export const listPhotosAt = reading(photos.listPhotosAt);
export const listPhotosOfStop = reading(photos.listPhotosOfStop);
/** The pictures of each main shut-off of a home. */
export async function listPhotosOfMains(homeId: string): Promise<Record<Main, photos.Photo[]>> {
  const [water, gas, power] = await Promise.all(
    MAINS.map((main) => listPhotosOfStop(homeId, mainPicture(main))),
  );
  return { water: water!, gas: gas!, power: power! };
}
export const listVisitDrafts = reading(visits.listVisitDrafts);
export const findVisitEnd = reading(visits.findVisitEnd);
export const listPhotosOfVisit = reading(photos.listPhotosOfVisit);
export const listWalkStops = reading(walk.listWalkStops);
export const listPhotosOfRun = reading(photos.listPhotosOfRun);
export const findRun = reading(runs.findRun);
export const readRun = reading(readRuns.readRun);
export const runsBefore = async (homeId: string): Promise<readRuns.RunsBefore> =>
  readRuns.runsBefore((await appStore()).db, homeId);
export const openBesideRun = reading(readRuns.openBesideRun);

export { isHomeUnreadable } from "@/db/repositories/homes";
export type { FoundRow } from "@/db/repositories/find";
export type { Photo } from "@/db/repositories/photos";
export type { Removed } from "@/db/repositories/removed";
export type { Run } from "@/db/repositories/runs";
