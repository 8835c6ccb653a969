import { findPhoto, findRun, readPhotoBytes } from "@/server/snapshots/beside";
import { z } from "zod";
import { PHOTO_MOMENTS } from "@/core/runs/run-event";
import { keepUpload, pictureId, refusePicture } from "@/server/commands/picture-upload";

const fields = z.object({
  id: pictureId,
  step: z.string().min(1).max(64),
  moment: z.enum(PHOTO_MOMENTS),
});

/** POST /api/v1/runs/ID/photos: a picture taken at a step, under a name made on the device. */
export async function postRunPhoto(runId: string, request: Request): Promise<Response> {
  const run = await findRun(runId);
  if (!run) return refusePicture(404, "unknown-run", "There is no such run.");
  const { homeId, unitId, partId } = run;
  return keepUpload(request, fields, ({ step, moment }) => ({
    homeId,
    unitId,
    partId,
    runId,
    step,
    moment,
  }));
}

/** GET /api/v1/photos/ID: what it shows; taken out it is not shown. */
export async function getPhoto(photoId: string): Promise<Response> {
  const photo = await findPhoto(photoId);
  const bytes = photo && !photo.deletedAt ? await readPhotoBytes(photoId) : null;
  if (!photo || !bytes) return refusePicture(404, "unknown-photo", "There is no such picture.");
  return new Response(new Uint8Array(bytes), {
    headers: {
      "content-type": photo.mime,
      "cache-control": "private, max-age=31536000, immutable",
      // A paper is taken along, never opened here: what is in it must not act as a page of ours.
      "content-disposition": photo.mime.startsWith("image/") ? "inline" : "attachment",
      "content-security-policy": "default-src 'none'; sandbox",
      "x-content-type-options": "nosniff",
    },
  });
}
