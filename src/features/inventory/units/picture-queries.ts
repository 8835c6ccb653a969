import "server-only";
import { listPhotosAt, type Photo } from "@/server/snapshots/beside";

/** So many are shown of a machine, the newest first; those of its runs stand with the runs. */
const MOST_SHOWN = 24;

/** The pictures taken of a machine itself: its plate, its door, where it is shut off. */
export const listPicturesOf = async (unitId: string): Promise<Photo[]> =>
  (await listPhotosAt({ unitId }, MOST_SHOWN)).filter(
    ({ runId, partId, visitId }) => runId === null && partId === null && visitId === null,
  );
