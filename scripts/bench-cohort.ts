import { cohort, TOWNS, WATCHING } from "../src/core/filters/cohort";
import type { Media } from "../src/core/filters/media";

const ASKED = { watching: WATCHING, seed: 11, homes: 600, years: 5 };
const DEPTHS: [string, Media[]][] = [
  ["25 mm", ["fibreglass-25", "pleated-25"]],
  ["100 and 125 mm", ["pleated-100", "pleated-125"]],
];

/** npm run bench -- cohort: whether learning pays, and whether the bands hold that it tells. */
export function benchCohort(): void {
  for (const [depth, media] of DEPTHS)
    for (const town of TOWNS) {
      const result = cohort({ ...ASKED, media, town });
      console.log(
        `Filters of ${depth}, a ${town.replaceAll("-", " ")} town of ${ASKED.homes} homes`,
      );
      console.table(
        WATCHING.map((watching) => {
          const { meanMiss, changesPerYear, held } = result[watching];
          return {
            "how they decide": watching,
            "load off by": Number(meanMiss.toFixed(2)),
            "changes a year": Number(changesPerYear.toFixed(1)),
            "in the band, told at fitting": held ? Number(held.atFitting.toFixed(2)) : "-",
            "told at half life": held ? Number(held.atHalfLife.toFixed(2)) : "-",
          };
        }),
      );
    }
}
