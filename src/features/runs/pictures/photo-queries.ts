import { listPhotosAt, type Photo } from "@/server/snapshots/beside";
import "server-only";
import { dayIn } from "@/core/quantities/plain-date";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";

/** So many are shown at a part; the rest stand with their runs. */
const MOST_SHOWN = 24;

/** The pictures taken at a part, as they were taken together: each run with its before and after. */
export async function photoPairsOf(
  homeId: string,
  place: { unitId: string; partId: string },
): Promise<{ id: string; day: string; photos: Photo[] }[]> {
  const photos = await listPhotosAt(place, MOST_SHOWN);
  const timeZone = (await homeSnapshot(homeId))?.home.timeZone ?? "Etc/UTC";
  const dayOf = ({ addedAt }: Photo) => dayIn(timeZone, Date.parse(addedAt));
  const runs = new Map<string, Photo[]>();
  for (const photo of photos) {
    const key = photo.runId ?? dayOf(photo);
    runs.set(key, [...(runs.get(key) ?? []), photo]);
  }
  return [...runs].map(([id, list]) => ({ id, day: dayOf(list[0]!), photos: list }));
}
