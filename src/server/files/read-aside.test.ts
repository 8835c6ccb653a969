import { mkdtempSync, rmSync, symlinkSync, mkdirSync, copyFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { copiesBeside } from "@/db/copies-beside";
import { createClient } from "@libsql/client";
import { copyDemo } from "../../../tests/demo-store";
import { prepareCopy } from "./prepare-copy";
import { contentsAside, readFirst } from "./read-aside";

jest.setTimeout(90_000);
/** Enough for a program that is run from its source on a busy machine. */
const LONG_MS = 60_000;
let folder: string;
let file: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), "amber-read-"));
  file = copyDemo(folder);
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const inFile = async (...statements: string[]) => {
  const client = createClient({ url: `file:${file}`, concurrency: 1 });
  for (const sql of ["PRAGMA journal_mode = DELETE", ...statements]) await client.execute(sql);
  client.close();
};
/** A table in whose place stands a view that never comes to its end. */
const ENDLESS = [
  "PRAGMA foreign_keys = OFF",
  "ALTER TABLE photo_files RENAME TO was",
  "CREATE VIEW photo_files AS WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n) SELECT i AS photo_id, i AS bytes FROM n",
];

describe("a copy is read before it is put back, and is not where", () => {
  it.each([
    ["it holds a view, which could have no end", ENDLESS, /holds a view \(photo_files\)/],
    [
      "it holds a trigger nobody of us wrote",
      ["CREATE TRIGGER more AFTER INSERT ON events BEGIN DELETE FROM homes; END"],
      /would run by itself \(more\)/,
    ],
    [
      "a home’s climate is no JSON",
      ["UPDATE homes SET monthly_mean_c = '[1,' WHERE id = 'boathouse'"],
      /home “The boathouse” cannot be read: its climate cannot be made out/,
    ],
    [
      "nobody knows its time zone",
      ["UPDATE homes SET time_zone = 'Nowhere/Atall' WHERE id = 'boathouse'"],
      /nobody knows the time zone “Nowhere\/Atall”/,
    ],
    [
      "a day of the calendar is none",
      ["UPDATE events SET happened_on = '2026-02-31' WHERE part_id = 'cellar-filter'"],
      /^“2026-02-31” in events is no day$/,
    ],
    [
      "a day in it is a word",
      ["UPDATE events SET happened_on = 'someday' WHERE part_id = 'cellar-filter'"],
      /^“someday” in events is no day$/,
    ],
  ])("%s", async (_, statements, words) => {
    await inFile(...statements);
    expect(await prepareCopy(file)).toMatch(words);
  });

  it("reading it takes longer than it may; one that is sound is read in time", async () => {
    expect(await readFirst(file, 20)).toMatch(/could not be read in the time/);
    expect(await readFirst(file, LONG_MS)).toBeNull();
  });
});

it("tells what each copy holds, and holds nobody up over one that has no end or leads nowhere", async () => {
  const copies = path.join(folder, "copies");
  mkdirSync(copies);
  await inFile();
  copyFileSync(file, path.join(copies, "amber-lintel-2026-03-01.db"));
  await inFile(...ENDLESS);
  copyFileSync(file, path.join(copies, "amber-lintel-2026-03-02.db"));
  symlinkSync(path.join(folder, "gone.db"), path.join(copies, "amber-lintel-2026-03-03.db"));
  const found = copiesBeside(file).map((each) => each.file);
  expect(found.map((each) => path.basename(each))).toEqual([
    "amber-lintel-2026-03-02.db",
    "amber-lintel-2026-03-01.db",
  ]);
  const [endless, sound] = await contentsAside(found, LONG_MS);
  expect(endless).toBeNull();
  expect(sound).toMatchObject({ homes: ["Sluice House", "The boathouse"] });
  expect(await contentsAside(found, 1)).toEqual([null, null]);
});
