import { existsSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { copyFolder, sweepCopies } from "./copy-folders";

describe("the folders of copies on their way", () => {
  let where: string;
  beforeEach(() => (where = mkdtempSync(path.join(tmpdir(), "amber-sweep-"))));
  afterEach(() => rmSync(where, { recursive: true, force: true }));

  it("are swept at a start, and those of another server’s database are not", () => {
    const [left, others] = [copyFolder("a.db", where), copyFolder("b.db", where)];
    writeFileSync(path.join(left, "copy.db"), "half");
    sweepCopies("a.db", where);
    expect([existsSync(left), existsSync(others)]).toEqual([false, true]);
    sweepCopies("a.db", where);
  });
});
