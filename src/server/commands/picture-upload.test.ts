import sharp from "sharp";
import { z } from "zod";
import { findPhoto, readPhotoBytes } from "@/db/repositories/photos";
import { actOnDemo } from "../../../tests/acting";
import type { DemoStore } from "../../../tests/demo-store";
import { keepUpload, pictureId } from "./picture-upload";
import { MOST_BYTES } from "./pictures";

jest.setTimeout(60_000);

const HOME = "sluice-house";
const fields = z.object({ id: pictureId, unitId: z.string() });
let demo: DemoStore;
let png: Buffer;
beforeAll(async () => {
  demo = await actOnDemo();
  png = await sharp({ create: { width: 12, height: 9, channels: 3, background: "#abc" } })
    .png()
    .toBuffer();
});
afterAll(() => demo.discard());

const request = (
  about: Record<string, string>,
  file: { bytes: Uint8Array; name: string } | null,
  headers: Record<string, string> = {},
): Request => {
  const form = new FormData();
  for (const [name, value] of Object.entries(about)) form.set(name, value);
  if (file) form.set("file", new File([new Uint8Array(file.bytes)], file.name));
  return new Request("http://h/", { method: "POST", body: form, headers });
};
const send = async (asked: Request, isKnown = true) => {
  const answer = await keepUpload(asked, fields, ({ unitId }) =>
    isKnown ? { homeId: HOME, unitId } : null,
  );
  return [answer.status, await answer.json()] as const;
};
const of = { id: "picture-upload-1", unitId: "cellar-furnace" };
const refused = (code: string, message: string) => ({ error: { code, message, path: ["file"] } });

describe("a picture that is sent in", () => {
  it("is kept under its own name, drawn anew, with what it is of", async () => {
    const asked = request(of, { bytes: png, name: `${"long ".repeat(40)}.png` });
    expect(await send(asked)).toEqual([201, { id: of.id }]);
    const photo = (await findPhoto(demo.store.db, of.id))!;
    expect(photo).toMatchObject({
      homeId: HOME,
      unitId: "cellar-furnace",
      partId: null,
      runId: null,
      visitId: null,
      stop: null,
      mime: "image/jpeg",
      width: 12,
      height: 9,
    });
    expect(photo.fileName).toHaveLength(120);
    const bytes = (await readPhotoBytes(demo.store.db, of.id))!;
    expect((await sharp(bytes).metadata()).format).toBe("jpeg");
  });

  it("is kept once though it is sent twice", async () => {
    expect((await send(request(of, { bytes: png, name: "again.png" })))[0]).toBe(201);
    const { rows } = await demo.store.client.execute({
      sql: "SELECT file_name FROM photos WHERE id = ?",
      args: [of.id],
    });
    expect(rows).toHaveLength(1);
    expect(String(rows[0]![0])).toMatch(/^long /);
  });

  it("is refused where another one, or one of something else, has its name", async () => {
    const other = await sharp(png).resize(4, 4).png().toBuffer();
    const conflict = refused("conflict", "Another picture has this id. Choose it again.");
    expect(await send(request(of, { bytes: other, name: "a.png" }))).toEqual([409, conflict]);
    const elsewhere = { ...of, unitId: "loft-ventilator" };
    expect(await send(request(elsewhere, { bytes: png, name: "a.png" }))).toEqual([409, conflict]);
    expect((await findPhoto(demo.store.db, of.id))!.width).toBe(12);
  });

  it("may be a paper, which stays as it is", async () => {
    const paper = Buffer.from("%PDF-1.4\n% an invoice\n%%EOF\n");
    const id = "picture-upload-paper";
    expect((await send(request({ ...of, id }, { bytes: paper, name: "invoice.pdf" })))[0]).toBe(
      201,
    );
    expect((await findPhoto(demo.store.db, id))!.mime).toBe("application/pdf");
    expect((await readPhotoBytes(demo.store.db, id))!.equals(paper)).toBe(true);
  });

  it("is refused in words where it is none, too large, or of nothing there is", async () => {
    const id = "picture-upload-2";
    const file = { bytes: png, name: "a.png" };
    const tooLarge = refused("too-large", "The file is over 20 MB. Take a smaller one.");
    expect(await send(request({ ...of, id }, null))).toEqual([
      400,
      refused("invalid-input", "Choose a picture."),
    ]);
    expect(await send(request({ ...of, id: "short" }, file))).toEqual([
      400,
      refused("invalid-input", "Choose a picture."),
    ]);
    expect(await send(request({ ...of, id }, file), false)).toEqual([
      404,
      refused("unknown-place", "There is no such place."),
    ]);
    const words = { bytes: Buffer.from("no picture at all"), name: "a.png" };
    const [status, answer] = await send(request({ ...of, id }, words));
    expect([status, answer.error.code]).toEqual([415, "unreadable"]);
    const huge = { bytes: Buffer.alloc(MOST_BYTES + 1), name: "a.png" };
    expect(await send(request({ ...of, id }, huge))).toEqual([413, tooLarge]);
    const claimed = new Request("http://h/", {
      method: "POST",
      body: "x",
      headers: { "content-length": String(MOST_BYTES * 2) },
    });
    expect(await send(claimed)).toEqual([413, tooLarge]);
    const odd = new Request("http://h/", {
      method: "POST",
      body: "{",
      headers: { "content-type": "application/json" },
    });
    expect((await send(odd))[0]).toBe(400);
    expect(await findPhoto(demo.store.db, id)).toBeNull();
  });
});
