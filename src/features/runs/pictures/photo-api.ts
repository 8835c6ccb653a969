import { findPhoto, findRun, readPhotoBytes } from "@/server/snapshots/beside";
import { z } from "zod";
import { PHOTO_MOMENTS } from "@/core/runs/run-event";
import { now } from "@/lib/clock";
import { keepPhoto, MOST_BYTES, readUpload } from "@/server/commands/pictures";

const fields = z.object({
  id: z.string().min(8).max(64),
  step: z.string().min(1).max(64),
  moment: z.enum(PHOTO_MOMENTS),
});

const refuse = (status: number, code: string, message: string) =>
  Response.json({ error: { code, message, path: ["file"] } }, { status });

/** Room for the other fields of the form, bytes. */
const FORM_BYTES = 64 * 1024;

/** POST /api/v1/runs/ID/photos: a picture taken at a step, under a name made on the device. */
export async function postRunPhoto(runId: string, request: Request): Promise<Response> {
  const tooLarge = "The file is over 20 MB. Take a smaller one.";
  if (Number(request.headers.get("content-length")) > MOST_BYTES + FORM_BYTES)
    return refuse(413, "too-large", tooLarge);
  const run = await findRun(runId);
  if (!run) return refuse(404, "unknown-run", "There is no such run.");
  const form = await request.formData().catch(() => null);
  const file = form?.get("file");
  const parsed = fields.safeParse(form ? Object.fromEntries(form) : {});
  if (!parsed.success || !(file instanceof File))
    return refuse(400, "invalid-input", "Choose a picture.");
  if (file.size > MOST_BYTES) return refuse(413, "too-large", tooLarge);
  const read = await readUpload(Buffer.from(await file.arrayBuffer()));
  if (read.kind === "unreadable") return refuse(415, "unreadable", read.message);
  const { id, step, moment } = parsed.data;
  const { homeId, unitId, partId } = run;
  const fileName = file.name.slice(0, 120) || null;
  await keepPhoto({ id, homeId, unitId, partId, runId, step, moment, fileName }, read, now());
  return Response.json({ id }, { status: 201 });
}

/** GET /api/v1/photos/ID: what it shows; taken out it is not shown. */
export async function getPhoto(photoId: string): Promise<Response> {
  const photo = await findPhoto(photoId);
  const bytes = photo && !photo.deletedAt ? await readPhotoBytes(photoId) : null;
  if (!photo || !bytes) return refuse(404, "unknown-photo", "There is no such picture.");
  return new Response(new Uint8Array(bytes), {
    headers: {
      "content-type": photo.mime,
      "cache-control": "private, max-age=31536000, immutable",
      "content-disposition": "inline",
      "x-content-type-options": "nosniff",
    },
  });
}
