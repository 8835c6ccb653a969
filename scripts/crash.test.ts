import { spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { openStore } from "../src/db/client";
import { listEventsOfPart } from "../src/db/repositories/history";
import { copyDemo } from "../tests/demo-store";

jest.setTimeout(90_000);

/** Starts a writer, lets it be acknowledged some times, and kills it in the middle of the next. */
function writeUntilKilled(
  file: string,
  writer: string,
  acknowledgements: number,
): Promise<string[]> {
  return new Promise((resolve, reject) => {
    const child = spawn("node_modules/.bin/tsx", ["scripts/crash-writer.ts", file, writer], {
      detached: true,
    });
    let said = "";
    child.stdout.on("data", (chunk: Buffer) => {
      said += chunk.toString();
      if (said.split("\n").length > acknowledgements && child.pid)
        process.kill(-child.pid, "SIGKILL");
    });
    child.on("error", reject);
    // A line cut short by the kill was not wholly said.
    child.on("close", () => resolve(said.split("\n").slice(0, -1)));
  });
}

describe("kill -9 while writing", () => {
  let folder: string;
  beforeEach(() => (folder = mkdtempSync(path.join(tmpdir(), "amber-crash-"))));
  afterEach(() => rmSync(folder, { recursive: true, force: true }));

  it("loses nothing that was acknowledged, time after time, with two writers at once", async () => {
    const file = copyDemo(folder);

    const acknowledged: string[] = [];
    for (let round = 0; round < 4; round++) {
      const said = await Promise.all([
        writeUntilKilled(file, `a${round}`, 5 + 7 * round),
        writeUntilKilled(file, `b${round}`, 9 + 3 * round),
      ]);
      acknowledged.push(...said.flat());
    }
    expect(acknowledged.length).toBeGreaterThan(60);

    const after = await openStore(file);
    const kept = new Set(
      (await listEventsOfPart(after.db, "cellar-filter")).map((event) => event.id),
    );
    expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
    const check = await after.client.execute("PRAGMA integrity_check");
    expect(check.rows[0]).toMatchObject({ integrity_check: "ok" });
    after.close();
  });
});
