import "server-only";
import { z } from "zod";
import { MAINS_STOP, placeStop } from "@/core/inventory/first-walk";
import { keepUpload, pictureId, refusePicture } from "@/server/commands/picture-upload";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";

const fields = z.union([
  z.object({ id: pictureId, unitId: z.string().min(1) }),
  z.object({ id: pictureId, stop: z.string().min(1) }),
]);

/** POST /api/v1/homes/ID/photos: a picture of a machine, or of a stop of the first walk. */
export async function postHomePhoto(homeId: string, request: Request): Promise<Response> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return refusePicture(404, "unknown-home", "There is no such home.");
  const { units, retired, rooms, levels } = snapshot;
  const stops = [
    MAINS_STOP,
    ...levels.map(({ id }) => placeStop({ levelId: id })),
    ...rooms.map(({ id }) => placeStop({ roomId: id })),
  ];
  const nowhere = { homeId, unitId: null, partId: null, runId: null, step: null, moment: null };
  return keepUpload(request, fields, (of) => {
    if ("unitId" in of)
      return [...units, ...retired].some(({ id }) => id === of.unitId)
        ? { ...nowhere, unitId: of.unitId, stop: null }
        : null;
    return stops.includes(of.stop) ? { ...nowhere, stop: of.stop } : null;
  });
}
