import { spawn, spawnSync } from "node:child_process";
import {
  closeSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readFileSync,
  rmSync,
  writeFileSync,
  writeSync,
} from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { createClient } from "@libsql/client";
import { copyDemo } from "../../tests/demo-store";
import { APPLICATION_ID, refusedFile } from "./file-check";
import journal from "./migrations/meta/_journal.json";
import { FileIsRefused, openAndMend } from "./open";

jest.setTimeout(60_000);
const KNOWN = journal.entries.length;

let folder: string;
let file: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), "amber-check-"));
  file = copyDemo(folder);
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** Does something in the file; `folds` its log into it first, so that its bytes are all there is. */
const inFile = async (sql: string, folds = true) => {
  const client = createClient({ url: `file:${file}`, concurrency: 1 });
  if (folds) await client.execute("PRAGMA journal_mode = DELETE");
  const { rows } = await client.execute(sql);
  client.close();
  return rows;
};
/** The start command up to where it would listen: what it says, and how it ends. */
const start = (db: string) =>
  spawnSync("node_modules/.bin/tsx", ["scripts/settings.ts"], {
    env: { ...process.env, AMBER_DB: db, AMBER_CLOCK: "2026-03-14T08:30:00Z" },
    encoding: "utf8",
  });

/** Refused for this reason, in one sentence, and not a byte of it changed. */
async function expectRefused(why: string, words: RegExp, db = file): Promise<void> {
  const before = readFileSync(db);
  const refused = await refusedFile(db, KNOWN);
  expect(refused?.why).toBe(why);
  await expect(openAndMend(db)).rejects.toThrow(new FileIsRefused(refused!.sentence));
  expect(refused!.sentence).toMatch(words);
  expect(refused!.sentence.split("\n")).toHaveLength(1);
  expect(readFileSync(db).equals(before)).toBe(true);
}

describe("a file that is not opened", () => {
  it("is one that is no database, or somebody else’s", async () => {
    const letter = path.join(folder, "letter.txt");
    writeFileSync(letter, "Dear Sir or Madam, ".repeat(20));
    await expectRefused("foreign", /no file of Amber Lintel/, letter);
    const other = path.join(folder, "other.db");
    const client = createClient({ url: `file:${other}` });
    await client.execute("CREATE TABLE songs (name text)");
    client.close();
    await expectRefused("foreign", /AMBER_DB/, other);
    const named = createClient({ url: `file:${other}` });
    await named.execute("PRAGMA application_id = 77");
    named.close();
    await expectRefused("foreign", /left as it is|left as it was/, other);
  });

  it("is one a newer app wrote", async () => {
    await inFile(
      "INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)",
    );
    await expectRefused("newer", /newer Amber Lintel/);
    // The command that starts the app says just that.
    const { status, stderr } = start(file);
    expect([status, stderr.trim()]).toEqual([1, (await refusedFile(file, KNOWN))!.sentence]);
  });

  it("is a damaged one, which names the latest copy", async () => {
    await inFile("VACUUM");
    const handle = openSync(file, "r+");
    // A page in the middle is overwritten.
    writeSync(handle, Buffer.alloc(40_000, 7), 0, 40_000, 200_000);
    closeSync(handle);
    await expectRefused("damaged", /put a copy of it in its place/);
    mkdirSync(path.join(folder, "daily-copies"));
    mkdirSync(path.join(folder, "copies"));
    writeFileSync(path.join(folder, "copies", "amber-lintel-2026-03-01.db"), "");
    writeFileSync(path.join(folder, "daily-copies", "amber-lintel-2026-03-09.db"), "");
    await expectRefused("damaged", /npm run restore -- .*daily-copies.amber-lintel-2026-03-09\.db/);
  });

  it("is one that was cut short, by a page or by much", async () => {
    await inFile("VACUUM");
    const whole = readFileSync(file);
    const page = whole.readUInt16BE(16);
    for (const bytes of [whole.length - page, whole.length - 10, Math.ceil(whole.length / 3)]) {
      writeFileSync(file, whole.subarray(0, bytes));
      await expectRefused("damaged", /put a copy of it in its place/);
    }
    writeFileSync(file, whole);
    expect(await refusedFile(file, KNOWN)).toBeNull();
  });

  it("is one with bytes flipped, and then not one more is changed", async () => {
    expect(start(file).status).toBe(0);
    await inFile("VACUUM");
    const whole = readFileSync(file);
    const said = jest.spyOn(console, "error").mockImplementation(() => undefined);
    let refused = 0;
    for (let nth = 0; nth < 24; nth++) {
      const bytes = Buffer.from(whole);
      // Spread over all of the file, the first ones in its head.
      const at = nth < 4 ? 20 + nth * 25 : Math.floor((whole.length / 24) * nth) + nth * 7;
      for (let i = at; i < at + 1 + nth * 9; i++) bytes[i] = bytes[i]! ^ 0xa5;
      const flipped = path.join(folder, `flipped-${nth}.db`);
      writeFileSync(flipped, bytes);
      const opened = await openAndMend(flipped).then(
        () => true,
        (error: unknown) => {
          expect([nth, error]).toEqual([nth, expect.any(FileIsRefused)]);
          return false;
        },
      );
      if (opened) continue;
      refused++;
      expect([nth, readFileSync(flipped).equals(bytes)]).toEqual([nth, true]);
    }
    expect(refused).toBeGreaterThan(6);
    said.mockRestore();
  });

  it("is one in a folder that is not there", async () => {
    const lost = path.join(folder, "nowhere", "amber.db");
    expect((await refusedFile(lost, KNOWN))?.why).toBe("no-folder");
    await expect(openAndMend(lost)).rejects.toThrow("is not there: make it");
  });

  it("is one another program holds", async () => {
    const held = createClient({ url: `file:${file}`, concurrency: 1 });
    const writing = await held.transaction("write");
    expect((await refusedFile(file, KNOWN))?.why).toBe("locked");
    await writing.rollback();
    held.close();
    expect(await refusedFile(file, KNOWN)).toBeNull();
  });
});

describe("a file that is opened", () => {
  it("is marked as ours; one that is empty or not there yet is made", async () => {
    expect(start(file).status).toBe(0);
    const [row] = await inFile("PRAGMA application_id");
    expect(Number(row!["application_id"])).toBe(APPLICATION_ID);
    const fresh = path.join(folder, "fresh.db");
    writeFileSync(fresh, "");
    expect(await openAndMend(fresh)).toBe(0);
    expect(await openAndMend(path.join(folder, "fresher.db"))).toBe(0);
  });

  it("has its texts mended that are no UTF-8: reading one would end the process", async () => {
    await inFile(
      "UPDATE units SET note = CAST(x'416d62ff6572' AS TEXT) WHERE id = 'cellar-furnace'",
    );
    const [before] = await inFile(
      "SELECT hex(note) AS bytes FROM units WHERE id = 'cellar-furnace'",
    );
    expect(before!["bytes"]).toBe("416D62FF6572");
    const said = jest.spyOn(console, "error").mockImplementation(() => undefined);
    expect(await openAndMend(file)).toBe(1);
    const [after] = await inFile("SELECT note FROM units WHERE id = 'cellar-furnace'", false);
    expect(after!["note"]).toBe("Amb\uFFFDer");
    const [kept] = await inFile("SELECT place, hex(bytes) AS bytes FROM unreadable_texts", false);
    expect(kept!["bytes"]).toBe("416D62FF6572");
    expect(String(kept!["place"])).toContain("units.note");
    // Letters beyond the plain ones are fine as they are.
    expect(await openAndMend(file)).toBe(0);
    expect(said).toHaveBeenCalledTimes(1);
    said.mockRestore();
  });

  it.each([
    ["with no table yet", "PRAGMA application_id = 0"],
    ["with its first table only", "CREATE TABLE __drizzle_migrations (id, hash, created_at)"],
  ])("may be one whose very first start was killed, %s", async (_, sql) => {
    const young = createClient({ url: `file:${path.join(folder, "young.db")}`, concurrency: 1 });
    await young.execute("PRAGMA journal_mode = WAL");
    await young.execute(sql);
    young.close();
    expect(await refusedFile(path.join(folder, "young.db"), KNOWN)).toBeNull();
  });

  it("goes on from where it was killed in the middle of a migration", async () => {
    const old = path.join(folder, "old.db");
    // Killed over and over while it brings an empty file to the present schema.
    for (let ms = 250; ms <= 1500; ms += 250) {
      const child = spawn("node_modules/.bin/tsx", ["scripts/settings.ts"], {
        env: { ...process.env, AMBER_DB: old },
        detached: true,
        stdio: "ignore",
      });
      await new Promise((resolve) => setTimeout(resolve, ms));
      if (child.exitCode === null) process.kill(-child.pid!, "SIGKILL");
    }
    const { status, stderr } = start(old);
    expect([status, stderr]).toEqual([0, ""]);
    const client = createClient({ url: `file:${old}` });
    const { rows } = await client.execute("SELECT count(*) AS n FROM __drizzle_migrations");
    expect(Number(rows[0]!["n"])).toBe(KNOWN);
    client.close();
  });
});
