import { and, asc, desc, eq, inArray, isNull, lt } from "drizzle-orm";
import type { PhotoMoment } from "@/core/runs/run-event";
import type { Reader, Tx } from "../client";
import { photoFiles, photos } from "../schema";

/** A picture or paper, without what it holds. */
export type Photo = {
  id: string;
  homeId: string;
  unitId: string | null;
  partId: string | null;
  runId: string | null;
  /** The visit or finding it belongs to. */
  visitId: string | null;
  findingId: string | null;
  /** The stop of the first walk it was taken at. */
  stop: string | null;
  /** The step of the run it was taken at. */
  step: string | null;
  moment: PhotoMoment | null;
  mime: string;
  width: number | null;
  height: number | null;
  byteCount: number;
  fileName: string | null;
  addedAt: string;
  deletedAt: string | null;
};

/** What a picture is of; whatever else is said of it may change later. */
const OF = ["homeId", "unitId", "partId", "runId", "visitId", "stop", "step", "moment"] as const;

/**
 * Adds a picture; one that is there already, sent twice, stays as it is.
 *
 * @returns whether it is there now; false where another picture has its id
 */
export async function insertPhoto(tx: Tx, photo: Photo, bytes: Buffer): Promise<boolean> {
  const there = await findPhoto(tx, photo.id);
  if (there)
    return (
      OF.every((key) => there[key] === photo[key]) &&
      ((await readPhotoBytes(tx, photo.id))?.equals(bytes) ?? false)
    );
  await tx.insert(photos).values(photo);
  await tx.insert(photoFiles).values({ photoId: photo.id, bytes });
  return true;
}

export async function findPhoto(db: Reader, id: string): Promise<Photo | null> {
  const rows = await db.select().from(photos).where(eq(photos.id, id));
  return rows[0] ?? null;
}

export async function readPhotoBytes(db: Reader, id: string): Promise<Buffer | null> {
  const rows = await db.select().from(photoFiles).where(eq(photoFiles.photoId, id));
  return rows[0]?.bytes ?? null;
}

/** The pictures of a run in the order they were taken. */
export const listPhotosOfRun = (db: Reader, runId: string): Promise<Photo[]> =>
  db
    .select()
    .from(photos)
    .where(and(eq(photos.runId, runId), isNull(photos.deletedAt)))
    .orderBy(asc(photos.addedAt));

/** The pictures taken at a part or unit, the newest first. */
export const listPhotosAt = (
  db: Reader,
  place: { unitId: string; partId?: string },
  most: number,
): Promise<Photo[]> =>
  db
    .select()
    .from(photos)
    .where(
      and(
        place.partId ? eq(photos.partId, place.partId) : eq(photos.unitId, place.unitId),
        isNull(photos.deletedAt),
      ),
    )
    .orderBy(desc(photos.addedAt))
    .limit(most);

/** The pictures and papers of a visit, those of its findings among them. */
export const listPhotosOfVisit = (db: Reader, visitId: string): Promise<Photo[]> =>
  db
    .select()
    .from(photos)
    .where(and(eq(photos.visitId, visitId), isNull(photos.deletedAt)))
    .orderBy(asc(photos.addedAt));

/** The pictures taken at a stop of the first walk, in their order. */
export const listPhotosOfStop = (db: Reader, homeId: string, stop: string): Promise<Photo[]> =>
  db
    .select()
    .from(photos)
    .where(and(eq(photos.homeId, homeId), eq(photos.stop, stop), isNull(photos.deletedAt)))
    .orderBy(asc(photos.addedAt));

/** Takes a picture out of sight, or brings it back with `at` null. */
export async function markPhotoDeleted(
  tx: Tx,
  homeId: string,
  id: string,
  at: string | null,
): Promise<void> {
  await tx
    .update(photos)
    .set({ deletedAt: at })
    .where(and(eq(photos.id, id), eq(photos.homeId, homeId)));
}

/** Lets go for good of what was taken out before an instant. */
export async function purgePhotos(tx: Tx, before: string): Promise<void> {
  await tx.delete(photos).where(lt(photos.deletedAt, before));
}

/** Hangs pictures taken on a visit on what was found there; those that belong elsewhere stay. */
export async function hangOnFinding(
  tx: Tx,
  visitId: string,
  findingId: string,
  ids: readonly string[],
): Promise<void> {
  if (ids.length === 0) return;
  await tx
    .update(photos)
    .set({ findingId })
    .where(
      and(inArray(photos.id, [...ids]), eq(photos.visitId, visitId), isNull(photos.findingId)),
    );
}
