import "server-only";
import { appStore } from "@/db/app-store";
import { listPhotosAt, type Photo } from "@/db/repositories/photos";

/** So many are shown at a part; the rest stand with their runs. */
const MOST_SHOWN = 24;

/** The pictures taken at a part, as they were taken together: each run with its before and after. */
export async function photoPairsOf(
  unitId: string,
  partId: string,
): Promise<{ id: string; day: string; photos: Photo[] }[]> {
  const { db } = await appStore();
  const photos = await listPhotosAt(db, { unitId, partId }, MOST_SHOWN);
  const runs = new Map<string, Photo[]>();
  for (const photo of photos) {
    const key = photo.runId ?? photo.addedAt.slice(0, 10);
    runs.set(key, [...(runs.get(key) ?? []), photo]);
  }
  return [...runs].map(([id, list]) => ({ id, day: list[0]!.addedAt.slice(0, 10), photos: list }));
}
