import { dateWords } from "@/core/quantities/words";
import { Liftable, type Lifting } from "./liftable";
import type { Grouped } from "./year-drag";
import type { YearRound } from "./year-queries";

const HEAD_TOP = ["1.15rem", "3.15rem"];

/** The head of a round over its column: its day and its minutes; what is pressed or dragged for all of it. */
export function RoundHead({
  round,
  row,
  of,
  lifting,
}: {
  round: YearRound;
  /** Without one there is no room for words. */
  row: number | null;
  of: Grouped["of"];
  lifting: Lifting;
}) {
  const { today, onChoose } = lifting;
  const { person, day, minutes, jobs, isVisit, isAnnounced, name } = round;
  const id = `round ${person} ${day}`;
  const who = name ? `, ${name}` : "";
  const counted =
    jobs === 0 ? "agreed" : `${jobs} ${jobs === 1 ? "job" : "jobs"}, ${minutes} minutes`;
  const title = `${isVisit ? "Visit" : "Round"} of ${dateWords(day, today)}${who}: ${counted}`;
  const data: Grouped = { id, day, person, of, marks: [], isRound: true };
  return (
    <Liftable
      {...{ data, lifting }}
      row="heads"
      label={title}
      top={row === null ? "5.2rem" : HEAD_TOP[row]!}
      onPress={() => onChoose({ title, of, person, day, due: null, isRound: true })}
      className="-translate-x-1/2 px-1 text-center text-[0.8125rem] leading-[1.05] data-visit:border-t-4 data-visit:border-ink"
      isVisit={isVisit}
    >
      {row === null ? (
        <span className="block size-2 bg-ink" />
      ) : (
        <>
          <span className="figures block font-bold">
            {Number(day.slice(8))}
            {isAnnounced ? "!" : ""}
          </span>
          <span className="figures block text-second">{minutes}′</span>
        </>
      )}
    </Liftable>
  );
}
