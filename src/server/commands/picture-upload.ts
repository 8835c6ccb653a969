import "server-only";
import { z } from "zod";
import { readBytes } from "@/lib/body";
import { now } from "@/lib/clock";
import { keepPhoto, MOST_BYTES, readUpload, type PhotoOf } from "./pictures";

/** Room for the other fields of the form, bytes. */
const FORM_BYTES = 64 * 1024;
const TOO_LARGE = "The file is over 20 MB. Take a smaller one.";

export const refusePicture = (status: number, code: string, message: string): Response =>
  Response.json({ error: { code, message, path: ["file"] } }, { status });

/** The name of a picture, made on the device it was taken with: sent twice it is kept once. */
export const pictureId = z.string().min(8).max(64);

/**
 * Keeps a picture that came in as a form.
 *
 * @param schema the fields beside the file
 * @param of what it is a picture of; null where there is no such thing
 * @returns 201 with its id; 400, 404, 409, 413 or 415 with what is wrong in words
 */
export async function keepUpload<F extends { id: string }>(
  request: Request,
  schema: z.ZodType<F>,
  of: (fields: F) => Omit<PhotoOf, "id" | "fileName"> | null,
): Promise<Response> {
  // Who says that it is too much is believed at once; who says otherwise is counted.
  const said = Number(request.headers.get("content-length"));
  const isTooMuch = said > MOST_BYTES + FORM_BYTES;
  const bytes = isTooMuch ? null : await readBytes(request, MOST_BYTES + FORM_BYTES);
  if (!bytes) return refusePicture(413, "too-large", TOO_LARGE);
  const type = request.headers.get("content-type") ?? "";
  const form = await new Response(bytes, { headers: { "content-type": type } })
    .formData()
    .catch(() => null);
  const file = form?.get("file");
  const parsed = schema.safeParse(form ? Object.fromEntries(form) : {});
  if (!parsed.success || !(file instanceof File))
    return refusePicture(400, "invalid-input", "Choose a picture.");
  if (file.size > MOST_BYTES) return refusePicture(413, "too-large", TOO_LARGE);
  const place = of(parsed.data);
  if (!place) return refusePicture(404, "unknown-place", "There is no such place.");
  const read = await readUpload(Buffer.from(await file.arrayBuffer()));
  if (read.kind === "unreadable") return refusePicture(415, "unreadable", read.message);
  const { id } = parsed.data;
  const fileName = file.name.slice(0, 120) || null;
  const isKept = await keepPhoto({ ...place, id, fileName }, read, now());
  if (!isKept)
    return refusePicture(409, "conflict", "Another picture has this id. Choose it again.");
  return Response.json({ id }, { status: 201 });
}
