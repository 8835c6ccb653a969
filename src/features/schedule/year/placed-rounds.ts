import { daysFrom } from "@/core/quantities/plain-date";
import type { YearPage, YearRound } from "./year-queries";

/** Nearer than this to the one before it the head of a round goes a row down, days at the year's zoom. */
const HEAD_DAYS = 12;
const HEAD_ROWS = 2;

/** In which row the head of each round stands; without one it has no room for words. */
export function placedRounds(
  rounds: readonly YearRound[],
  { from }: Pick<YearPage, "from">,
  zoom: number,
): { round: YearRound; row: number | null }[] {
  const ends = new Array<number>(HEAD_ROWS).fill(Number.NEGATIVE_INFINITY);
  const apart = HEAD_DAYS / zoom;
  return rounds.map((round) => {
    const at = daysFrom(from, round.day);
    const row = ends.findIndex((end) => at - end >= apart);
    if (row === -1) return { round, row: null };
    ends[row] = at;
    return { round, row };
  });
}
