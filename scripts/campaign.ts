/**
 * npm run campaign: tries every promise of docs/promises.md against the built application, on temporary files,
 * for about ten minutes, and prints a table of what came of it. What takes time is measured against what an empty
 * page, a bare write and a start take in the same minute.
 *
 *   --seed N     the same inputs again (else 17)
 *   --only NAME  one chapter
 */
import { parseArgs } from "node:util";
import { asking } from "./campaign/asking";
import { crowd } from "./campaign/crowd";
import { disk } from "./campaign/disk";
import { files } from "./campaign/files";
import { heavy } from "./campaign/heavy";
import { inputs } from "./campaign/inputs";
import { kills } from "./campaign/kills";
import { long } from "./campaign/long";
import { others } from "./campaign/others";
import { rounded, type Chapter, type Line } from "./campaign/shared";
import { yardstick } from "./campaign/yardstick";

const CHAPTERS: Record<string, Chapter> = {
  asking,
  inputs,
  heavy,
  files,
  others,
  disk,
  kills,
  crowd,
  long,
};
const USUAL_SEED = 17;

async function main(): Promise<void> {
  const { values } = parseArgs({ options: { seed: { type: "string" }, only: { type: "string" } } });
  const seed = Number(values.seed ?? USUAL_SEED);
  const chosen = Object.entries(CHAPTERS).filter(([name]) => (values.only ?? name) === name);
  const lines: Line[] = [];
  for (const [name, chapter] of chosen) {
    const began = performance.now();
    const can = await yardstick();
    lines.push(...(await chapter(seed, can)));
    const [start, page, write] = [can.start, can.page, can.write].map(rounded);
    console.error(
      `${name}: ${Math.round((performance.now() - began) / 1000)} s (a start ${start} ms, an empty page ${page} ms, a bare write ${write} ms)`,
    );
  }
  console.log(`Seed ${seed}\n\n| Promise | Tried | Found | Kept |\n| --- | --- | --- | --- |`);
  for (const { promise, tried, found, isKept } of lines)
    console.log(`| ${promise} | ${tried} | ${found} | ${isKept ? "yes" : "NO"} |`);
  const broken = lines.filter(({ isKept }) => !isKept).length;
  console.log(`\n${lines.length - broken} of ${lines.length} kept`);
  process.exitCode = broken > 0 ? 1 : 0;
}

void main();
