import "server-only";
import { z } from "zod";
import { MAINS } from "@/core/inventory/inventory";
import { mainPicture, MAINS_STOP, placeStop } from "@/core/inventory/first-walk";
import { keepUpload, pictureId, refusePicture } from "@/server/commands/picture-upload";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";

const fields = z.union([
  z.object({ id: pictureId, unitId: z.string().min(1) }),
  z.object({ id: pictureId, stop: z.string().min(1) }),
  z.object({
    id: pictureId,
    visitId: z.string().min(1),
    findingId: z.string().min(1).optional(),
  }),
]);

/** POST /api/v1/homes/ID/photos: a picture of a machine, of a stop of the first walk, of a main shut-off, or of a visit. */
export async function postHomePhoto(homeId: string, request: Request): Promise<Response> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return refusePicture(404, "unknown-home", "There is no such home.");
  const { units, retired, rooms, levels, visits, findings } = snapshot;
  const stops = [
    MAINS_STOP,
    ...MAINS.map(mainPicture),
    ...levels.map(({ id }) => placeStop({ levelId: id })),
    ...rooms.map(({ id }) => placeStop({ roomId: id })),
  ];
  return keepUpload(request, fields, (of) => {
    if ("unitId" in of)
      return [...units, ...retired].some(({ id }) => id === of.unitId)
        ? { homeId, unitId: of.unitId }
        : null;
    if ("visitId" in of) {
      const { visitId, findingId = null } = of;
      const finding = findings.find(({ id }) => id === findingId);
      const isKnown = findingId === null || finding?.visitId === visitId;
      return visits.some(({ id }) => id === visitId) && isKnown
        ? { homeId, visitId, findingId, unitId: finding?.unitId ?? null }
        : null;
    }
    return stops.includes(of.stop) ? { homeId, stop: of.stop } : null;
  });
}
