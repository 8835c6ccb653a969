import { execFileSync, spawnSync } from "node:child_process";
import { z } from "zod";
import { answerLine, compute, computeBatch } from "./compute";
import { COMPUTE_FUNCTIONS } from "./registry";

const climateInput = {
  climate: {
    monthlyMeanC: [-9, -7, -1, 7, 13, 18, 21, 20, 15, 8, 1, -6],
    heatingDesignC: -24,
    coolingDesignMeanC: 26,
  },
  from: "2026-01-15",
  to: "2026-01-15",
};
const line = JSON.stringify(climateInput);

describe("the registry", () => {
  it("names each function once, with words on what it does", () => {
    const names = COMPUTE_FUNCTIONS.map((each) => each.name);
    expect(names).toEqual([
      "climate",
      "run-hours",
      "wear",
      "wear-causes",
      "loose-ends",
      "lint-procedures",
      "filter-fit",
      "rating-crosswalk",
      "registers",
      "chain",
      "due",
      "judge",
      "trend",
      "filter-resistance",
      "airflow",
      "humidity-limit",
      "heat-recovery",
      "wrap-cut",
      "dose",
      "dilution",
      "duct-pull",
      "compare-filters",
      "buy",
      "diy-or-pro",
      "plan",
      "evaluate",
      "sequence",
    ]);
    for (const each of COMPUTE_FUNCTIONS) expect(each.summary.length).toBeGreaterThan(20);
  });

  it("gives what its output schema promises", () => {
    const answer = compute("climate", line);
    const { output } = COMPUTE_FUNCTIONS.find((each) => each.name === "climate")!;
    expect(answer.ok && output.safeParse(answer.value).success).toBe(true);
  });

  it("describes every input and output as JSON schema", () => {
    for (const each of COMPUTE_FUNCTIONS)
      for (const schema of [each.input, each.output])
        expect(z.toJSONSchema(schema, { io: "input", unrepresentable: "any" })).toHaveProperty(
          "type",
          "object",
        );
  });
});

describe("compute", () => {
  it("refuses what it can't read, with a code", () => {
    expect(compute("climte", line)).toMatchObject({
      ok: false,
      error: { code: "unknown-function", path: [] },
    });
    expect(compute("climate", "{")).toMatchObject({ ok: false, error: { code: "invalid-json" } });
    expect(compute("climate", "[]")).toMatchObject({
      ok: false,
      error: { code: "invalid-input", path: [] },
    });
  });

  it("does lines in a row, an error in the place of its line", () => {
    const lines = computeBatch("climate", [line, "{", "", line]);
    expect(lines).toHaveLength(3);
    expect(lines[0]).toBe(lines[2]);
    expect(JSON.parse(lines[1]!)).toMatchObject({ error: { code: "invalid-json" } });
  });

  it("gives the same bytes for the same input", () => {
    expect(answerLine(compute("climate", line))).toBe(answerLine(compute("climate", line)));
  });
});

describe("the command line", () => {
  const command = "node_modules/.bin/tsx";
  const run = (args: string[], input: string) =>
    spawnSync(command, ["scripts/compute.ts", ...args], { input, encoding: "utf8" });

  it("writes one JSON object and ends well", () => {
    const { stdout, status } = run(["climate"], line);
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({
      days: [{ date: "2026-01-15", meanC: -9, source: "normal" }],
    });
  });

  it("writes the error to stderr and ends with 2", () => {
    const { stdout, stderr, status } = run(
      ["climate"],
      JSON.stringify({ ...climateInput, to: "soon" }),
    );
    expect([status, stdout]).toEqual([2, ""]);
    expect(JSON.parse(stderr)).toEqual({
      error: { code: "invalid-input", message: "not a day: write it as YYYY-MM-DD", path: ["to"] },
    });
  });

  it("works through a batch and ends well whatever is in it", () => {
    const { stdout, status } = run(["climate", "--batch"], `${line}\n{}\n`);
    expect(status).toBe(0);
    const [good, bad] = stdout
      .trim()
      .split("\n")
      .map((each) => JSON.parse(each) as object);
    expect(good).toHaveProperty("days");
    expect(bad).toHaveProperty("error.path", ["climate"]);
  });

  it("lists what there is when asked for nothing", () => {
    const listed = execFileSync(command, ["scripts/compute.ts"], { encoding: "utf8" });
    for (const { name } of COMPUTE_FUNCTIONS) expect(listed).toContain(name);
  });
});
