import sharp from "sharp";
import { appStore } from "@/db/app-store";
import { insertPhoto, purgePhotos, type Photo } from "@/db/repositories/photos";

/** What may be uploaded, bytes. */
export const MOST_BYTES = 20 * 1024 * 1024;
/** Longest side of a stored picture, pixels: enough to read a plate, small enough for a phone. */
const LONGEST_SIDE = 2400;
const QUALITY = 86;
/** What was taken out can be brought back for this long, ms. */
const KEPT_MS = 30 * 86_400_000;

export type Unreadable = { kind: "unreadable"; message: string };
export type Readable = {
  kind: "readable";
  bytes: Buffer;
  mime: string;
  width: number | null;
  height: number | null;
};

const refuse = (message: string): Unreadable => ({ kind: "unreadable", message });
const PICTURES = ["jpeg", "png", "webp"];
/** More than any camera in a pocket takes, and what a small file may unpack to; and how long one may take. */
const MOST_PIXELS = 50_000_000;
const MOST_SECONDS = 20;

/**
 * Looks at what a file holds, not at its name: a picture is drawn anew, upright and without anything
 * the camera wrote into it, its place above all; a paper stays as it is.
 */
export function readUpload(raw: Buffer): Promise<Readable | Unreadable> {
  // One at a time: a picture unpacked takes a hundred times the room of its file.
  const next = last.then(() => readOne(raw));
  last = next.catch(() => undefined);
  return next;
}
let last: Promise<unknown> = Promise.resolve();

async function readOne(raw: Buffer): Promise<Readable | Unreadable> {
  if (raw.length === 0) return refuse("The file is empty.");
  if (raw.length > MOST_BYTES) return refuse("The file is over 20 MB. Take a smaller one.");
  if (raw.subarray(0, 5).toString("latin1") === "%PDF-")
    return { kind: "readable", bytes: raw, mime: "application/pdf", width: null, height: null };
  try {
    const picture = sharp(raw, { failOn: "error", limitInputPixels: false });
    const { format, width: wide, height: high } = await picture.metadata();
    if (wide * high > MOST_PIXELS)
      return refuse("The picture has over 50 million pixels. Take a smaller one.");
    if (!PICTURES.includes(format))
      return refuse("Only JPEG, PNG and WebP pictures and PDF papers can be kept.");
    const { data, info } = await picture
      .rotate()
      .resize(LONGEST_SIDE, LONGEST_SIDE, { fit: "inside", withoutEnlargement: true })
      .flatten({ background: "#ffffff" })
      .jpeg({ quality: QUALITY })
      .timeout({ seconds: MOST_SECONDS })
      .toBuffer({ resolveWithObject: true });
    const { width, height } = info;
    return { kind: "readable", bytes: data, mime: "image/jpeg", width, height };
  } catch {
    return refuse("That is no picture and no paper that can be read: JPEG, PNG, WebP or PDF.");
  }
}

type Place = Omit<
  Photo,
  "id" | "homeId" | "mime" | "width" | "height" | "byteCount" | "addedAt" | "deletedAt"
>;
/** A picture before it is kept: its name, and what it is of. */
export type PhotoOf = Pick<Photo, "id" | "homeId"> & Partial<Place>;

const NOWHERE: Place = {
  unitId: null,
  partId: null,
  runId: null,
  visitId: null,
  findingId: null,
  stop: null,
  step: null,
  moment: null,
  fileName: null,
};

/**
 * Keeps a picture; lets go of those taken out longer ago than they can be brought back.
 *
 * @returns whether it is kept; false where another picture has its id
 */
export async function keepPhoto(
  of: PhotoOf,
  { bytes, mime, width, height }: Readable,
  now: Date,
): Promise<boolean> {
  const row: Photo = {
    ...NOWHERE,
    ...of,
    mime,
    width,
    height,
    byteCount: bytes.length,
    addedAt: now.toISOString(),
    deletedAt: null,
  };
  const { write } = await appStore();
  return write(async (tx) => {
    await purgePhotos(tx, new Date(now.getTime() - KEPT_MS).toISOString());
    return insertPhoto(tx, row, bytes);
  });
}
