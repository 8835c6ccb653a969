import { readFileSync } from "node:fs";
import sharp from "sharp";
import {
  findPhoto,
  listPhotosOfRun,
  markPhotoDeleted,
  readPhotoBytes,
} from "@/db/repositories/photos";
import { listRemoved } from "@/db/repositories/removed";
import { actOnDemo } from "../../../tests/acting";
import type { DemoStore } from "../../../tests/demo-store";
import { keepPhoto, MOST_BYTES, readUpload, type PhotoOf, type Readable } from "./pictures";

jest.setTimeout(60_000);

const NOW = new Date("2026-03-14T12:00:00Z");
const plain = (width = 600, height = 400) =>
  sharp({ create: { width, height, channels: 3, background: "#aa7744" } });
const PLACE = "Merrow Bend lock";
/** A picture that says where it was taken, lying on its side. */
const placed = () =>
  plain()
    .withMetadata({ orientation: 6 })
    .withExifMerge({
      IFD0: { ImageDescription: PLACE },
      IFD3: { GPSLatitudeRef: "N", GPSLatitude: "51/1 30/1 0/1" },
    })
    .jpeg()
    .toBuffer();

async function readable(raw: Buffer): Promise<Readable> {
  const read = await readUpload(raw);
  if (read.kind !== "readable") throw new Error(read.message);
  return read;
}

const removedIn = ({ db }: DemoStore["store"]) =>
  listRemoved(db, "sluice-house", { nameOf: (kind) => kind, dayOf: (instant) => instant });

describe("what is uploaded", () => {
  it("loses its place and every other word the camera wrote, and stands upright", async () => {
    const raw = await placed();
    expect(raw.includes(PLACE)).toBe(true);
    const { exif } = await sharp(raw).metadata();
    expect(exif).toBeDefined();
    const kept = await readable(raw);
    expect(kept.bytes.includes(PLACE)).toBe(false);
    expect((await sharp(kept.bytes).metadata()).exif).toBeUndefined();
    // It lay on its side: width and height change places.
    expect([kept.width, kept.height]).toEqual([400, 600]);
  });

  it.each(["jpeg", "png", "webp"] as const)("may be a %s, by what it holds", async (format) => {
    const kept = await readable(await plain().toFormat(format).toBuffer());
    expect([kept.mime, kept.width]).toEqual(["image/jpeg", 600]);
  });

  it("is no larger than a screen needs", async () => {
    const kept = await readable(await plain(5000, 2500).jpeg().toBuffer());
    expect([kept.width, kept.height]).toEqual([2400, 1200]);
  });

  it("may be a paper, which stays as it is", async () => {
    const paper = Buffer.from("%PDF-1.7\n%%EOF\n");
    expect(await readable(paper)).toMatchObject({ bytes: paper, mime: "application/pdf" });
  });

  it.each([
    ["nothing", Buffer.alloc(0), "empty"],
    ["words with a picture's name", Buffer.from("not a picture"), "no picture and no paper"],
    ["a drawing in SVG", readFileSync("src/app/icon.svg"), "Only JPEG, PNG and WebP"],
    ["more than 20 MB", Buffer.alloc(MOST_BYTES + 1), "over 20 MB"],
  ])("is refused: %s", async (_, raw, words) => {
    const read = await readUpload(raw);
    expect(read.kind).toBe("unreadable");
    expect(read.kind === "unreadable" && read.message).toContain(words);
  });

  it("is refused where it would unpack to more than fifty million pixels, small as its file may be", async () => {
    const wide = await plain(10_000, 5_001).png().toBuffer();
    expect(wide.length).toBeLessThan(MOST_BYTES);
    expect(await readUpload(wide)).toEqual({
      kind: "unreadable",
      message: "The picture has over 50 million pixels. Take a smaller one.",
    });
    // Whatever became of the one before, the next is looked at.
    expect((await readable(await plain().png().toBuffer())).mime).toBe("image/jpeg");
  });

  it("is refused where it breaks off", async () => {
    const raw = await plain().jpeg().toBuffer();
    expect((await readUpload(raw.subarray(0, raw.length / 2))).kind).toBe("unreadable");
  });
});

describe("the photo store", () => {
  let demo: DemoStore;
  beforeAll(async () => {
    demo = await actOnDemo();
  });
  afterAll(() => demo.discard());
  const of = (id: string): PhotoOf => ({
    id,
    homeId: "sluice-house",
    unitId: "loft-ventilator",
    partId: "loft-ventilator-recovery-core",
    runId: "demo-core-run",
    fileName: "core.jpg",
    step: "note-arrow",
    moment: "before",
  });

  it("keeps one sent twice once, and shows it with its run", async () => {
    const { store } = demo;
    const read = await readable(await plain().jpeg().toBuffer());
    await keepPhoto(of("photo-0001"), read, NOW);
    await keepPhoto(of("photo-0001"), read, NOW);
    const ids = (await listPhotosOfRun(store.db, "demo-core-run")).map(({ id }) => id);
    expect(ids).toEqual(["demo-photo-core-before", "photo-0001"]);
    expect(await readPhotoBytes(store.db, "photo-0001")).toEqual(read.bytes);
  });

  it("brings back what was taken out, for thirty days, and then lets it go", async () => {
    const { store } = demo;
    const read = await readable(await plain().jpeg().toBuffer());
    await keepPhoto(of("photo-0002"), read, NOW);
    const mark = (at: string | null) =>
      store.write((tx) => markPhotoDeleted(tx, "sluice-house", "photo-0002", at));
    await mark(NOW.toISOString());
    const removed = await removedIn(store);
    expect(removed).toMatchObject([
      { kind: "photo", id: "photo-0002", name: "Loft ventilator, core.jpg" },
    ]);
    const after = (days: number) => new Date(NOW.getTime() + days * 86_400_000);
    await keepPhoto(of("photo-0003"), read, after(29));
    expect(await findPhoto(store.db, "photo-0002")).not.toBeNull();
    await mark(null);
    expect(await removedIn(store)).toEqual([]);
    await mark(NOW.toISOString());
    await keepPhoto(of("photo-0004"), read, after(31));
    expect(await findPhoto(store.db, "photo-0002")).toBeNull();
    expect(await readPhotoBytes(store.db, "photo-0002")).toBeNull();
  });
});
