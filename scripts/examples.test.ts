import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import path from "node:path";

/** `@example EXPRESSION // VALUE`: what a docstring of the core says an expression comes to. */
const EXAMPLE = /@example (.+?) \/\/ (.+?)\s*(?:\*\/)?$/gm;

const files = execFileSync("git", ["ls-files", "src/core/**/*.ts"], { encoding: "utf8" })
  .split("\n")
  .filter((file) => file.endsWith(".ts") && !file.endsWith(".test.ts"));
const examples = files.flatMap((file) =>
  [...readFileSync(file, "utf8").matchAll(EXAMPLE)].map(([, code, value]) => ({
    file,
    code: code!,
    value: value!,
  })),
);

describe("the examples in the core’s docstrings", () => {
  it("are found", () => {
    expect(examples.length).toBeGreaterThan(20);
  });

  it.each(examples.map(({ file, code, value }) => [path.basename(file), code, value, file]))(
    "%s: %s // %s",
    async (_, code, value, file) => {
      const known = (await import(path.resolve(file))) as Record<string, unknown>;
      const names = Object.keys(known).filter((name) => name !== "default");
      // An example may use whatever its own file exports.
      const run = new Function(...names, `return (${code});`) as (...all: unknown[]) => unknown;
      expect(run(...names.map((name) => known[name]))).toEqual(
        new Function(`return (${value});`)(),
      );
    },
  );
});
