import { spawn, spawnSync } from "node:child_process";
import {
  appendFileSync,
  existsSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { plainDate } from "@/core/quantities/plain-date";
import { prepareCopy } from "@/server/files/prepare-copy";
import { readFirst } from "@/server/files/read-aside";
import { copyDemo } from "../../tests/demo-store";
import { backUp, putBack } from "./backup";
import { migrateStore, openStore, type Store } from "./client";

jest.setTimeout(60_000);

const DAY = plainDate("2026-03-14");

const rename = (store: Store, name: string) =>
  store.client.execute({
    sql: "UPDATE homes SET name = ? WHERE id = 'sluice-house'",
    args: [name],
  });

/** What another process writes that has ended, its connections with it. */
function renameElsewhere(file: string, name: string): void {
  const script = `require("@libsql/client").createClient({ url: "file:" + process.argv[1] })
    .execute({ sql: "UPDATE homes SET name = ? WHERE id = 'sluice-house'", args: [process.argv[2]] })`;
  expect(spawnSync("node", ["-e", script, file, name]).status).toBe(0);
}

/** One of the two commands, as somebody types it. */
function command(name: "backup" | "restore", file: string, ...args: string[]) {
  const env = { ...process.env, AMBER_DB: file, AMBER_CLOCK: "2026-03-14T12:00:00Z" };
  return spawnSync("node_modules/.bin/tsx", [`scripts/${name}.ts`, ...args], {
    env,
    encoding: "utf8",
  });
}

async function nameIn(file: string): Promise<unknown> {
  const store = await openStore(file);
  const { rows } = await store.client.execute("SELECT name FROM homes WHERE id = 'sluice-house'");
  store.close();
  return rows[0]?.["name"];
}

async function countsIn(file: string): Promise<unknown[]> {
  const store = await openStore(file);
  const { rows } = await store.client.execute(
    "SELECT (SELECT count(*) FROM events) AS events, (SELECT count(*) FROM photos) AS photos, (SELECT sum(length(bytes)) FROM photo_files) AS bytes",
  );
  store.close();
  return rows.map((row) => ({ ...row }));
}

describe("a copy of everything", () => {
  let folder: string;
  let file: string;
  beforeEach(() => {
    folder = mkdtempSync(path.join(tmpdir(), "amber-copy-"));
    file = copyDemo(folder);
  });
  afterEach(() => rmSync(folder, { recursive: true, force: true }));

  it("holds the newest notes and every picture, though the application is running", async () => {
    const running = await openStore(file);
    await rename(running, "Still in the log");

    const copy = await backUp(file, path.join(folder, "copies"), DAY);

    expect(path.basename(copy)).toBe("amber-lintel-2026-03-14.db");
    expect(existsSync(`${copy}-wal`)).toBe(false);
    running.close();
    expect(await nameIn(copy)).toBe("Still in the log");
    expect(await countsIn(copy)).toEqual(await countsIn(file));
    expect(await countsIn(copy)).toMatchObject([{ photos: expect.any(Number) as number }]);
  });

  it("never writes over an earlier copy of the same day", async () => {
    const first = await backUp(file, folder, DAY);
    const before = readFileSync(first);
    const second = await backUp(file, folder, DAY);
    expect(path.basename(second)).toBe("amber-lintel-2026-03-14-2.db");
    expect(readFileSync(first).equals(before)).toBe(true);
  });

  it("puts back the day of the copy, and keeps what was there until then", async () => {
    expect(command("backup", file).stdout).toContain("amber-lintel-2026-03-14.db");
    const copy = path.join(folder, "copies", "amber-lintel-2026-03-14.db");
    renameElsewhere(file, "Renamed since");

    const restored = command("restore", file, copy);

    expect(restored.stderr).toBe("");
    const aside = path.join(folder, "before-restore-2026-03-14.db");
    expect(restored.stdout).toContain(aside);
    expect(await nameIn(file)).toBe("Sluice House");
    expect(await nameIn(aside)).toBe("Renamed since");
  });

  it("puts an old file back though a log of the newer one was left by a power cut", async () => {
    const copy = path.join(folder, "copies", "amber-lintel-2026-03-14.db");
    command("backup", file);
    // Another process, killed: what it wrote stands in the log alone.
    const writer = spawn("node_modules/.bin/tsx", ["scripts/crash-writer.ts", file, "late"], {
      detached: true,
    });
    await new Promise((resolve) => writer.stdout.once("data", resolve));
    process.kill(-writer.pid!, "SIGKILL");
    await new Promise((resolve) => writer.once("close", resolve));
    expect(existsSync(`${file}-wal`)).toBe(true);

    expect(command("restore", file, copy).status).toBe(0);

    expect(existsSync(`${file}-wal`)).toBe(false);
    const after = await openStore(file);
    await migrateStore(after);
    const check = await after.client.execute("PRAGMA integrity_check");
    const late = "SELECT count(*) AS n FROM events WHERE id LIKE 'late%'";
    expect(check.rows[0]).toMatchObject({ integrity_check: "ok" });
    expect((await after.client.execute(late)).rows[0]).toMatchObject({ n: 0 });
    after.close();
    const kept = await openStore(path.join(folder, "before-restore-2026-03-14.db"));
    expect(Number((await kept.client.execute(late)).rows[0]?.["n"])).toBeGreaterThan(0);
    kept.close();
  });

  it("says what is missing where no file is named, or there is none", () => {
    expect(command("restore", file).stderr).toContain("Say which file");
    expect(command("restore", file, path.join(folder, "no.db"))).toMatchObject({ status: 1 });
    expect(command("backup", path.join(folder, "no.db")).stderr).toContain("There is no database");
  });

  it("touches nothing while the application runs on the database", async () => {
    const copy = await backUp(file, folder, DAY);
    const running = await openStore(file);
    await rename(running, "Renamed since");
    await expect(putBack(copy, file, DAY, prepareCopy)).rejects.toThrow("stop it first");
    running.close();
    expect(await nameIn(file)).toBe("Renamed since");
    expect(existsSync(`${file}.coming`)).toBe(false);
  });

  it("refuses what is no whole copy, and says so", async () => {
    const text = path.join(folder, "notes.db");
    writeFileSync(text, "buy filters");
    const copy = await backUp(file, folder, DAY);
    const cut = path.join(folder, "cut.db");
    writeFileSync(cut, readFileSync(copy).subarray(0, 40_000));
    for (const [bad, words] of [
      [text, "no copy made by Amber Lintel"],
      [cut, "damaged"],
      [path.join(folder, "nowhere.db"), "There is no file"],
      [file, "the database itself"],
    ] as const)
      await expect(putBack(bad, file, DAY, prepareCopy)).rejects.toThrow(words);
    const newer = await openStore(copy);
    await newer.client.execute(
      "INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)",
    );
    await newer.foldAndClose();
    await expect(putBack(copy, file, DAY, prepareCopy)).rejects.toThrow("newer version");
    expect(await nameIn(file)).toBe("Sluice House");
  });

  it("puts the present aside even when it is past reading", async () => {
    const copy = await backUp(file, folder, DAY);
    writeFileSync(file, "scrambled");
    appendFileSync(`${file}-wal`, "scrambled too");
    const aside = await putBack(copy, file, DAY, readFirst);
    expect(await nameIn(file)).toBe("Sluice House");
    expect(readFileSync(aside!, "utf8")).toBe("scrambled");
  });
});

describe("stopping", () => {
  it("leaves one file without a log, with all that was written", async () => {
    const folder = mkdtempSync(path.join(tmpdir(), "amber-stop-"));
    const file = copyDemo(folder);
    const store = await openStore(file);
    const writing = store.write((tx) =>
      tx.run("UPDATE homes SET name = 'Last words' WHERE id = 'sluice-house'"),
    );
    await store.foldAndClose();
    await writing;
    expect(existsSync(`${file}-wal`) ? readFileSync(`${file}-wal`).length : 0).toBe(0);
    const alone = path.join(folder, "alone.db");
    writeFileSync(alone, readFileSync(file));
    expect(await nameIn(alone)).toBe("Last words");
    rmSync(folder, { recursive: true, force: true });
  });
});
