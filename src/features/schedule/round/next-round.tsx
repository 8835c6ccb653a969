import { dateWords, listWords } from "@/core/quantities/words";
import { LinkButton } from "@/ui/button";
import type { NextRound as Round } from "./next-round-queries";

/** The round that was begun, or the one that comes within the week: how long, what to bring. */
export function NextRound({ round }: { round: Round }) {
  const { path, isBegun, day, today, name, jobs, minutes, bring } = round;
  const counted = `${jobs} ${jobs === 1 ? "job" : "jobs"}`;
  return (
    <section
      aria-label={isBegun ? "The round under way" : "The next round"}
      data-begun={isBegun || undefined}
      className="flex flex-wrap items-center justify-between gap-x-8 gap-y-3 border-2 border-ink px-4 py-3 data-begun:border-l-[8px] data-begun:border-attention"
    >
      <div>
        <h2 className="text-xl">
          {isBegun
            ? `The round of ${dateWords(day, today)} is under way`
            : `Round ${dateWords(day, today)}`}
          {name ? <span className="font-sans text-base font-normal">, {name}</span> : null}
        </h2>
        <p>
          <strong className="figures">
            {isBegun ? `${counted} left` : `${counted}, ${minutes} minutes`}
          </strong>
          {bring.length > 0 && <span className="text-second">. Bring {listWords(bring)}.</span>}
        </p>
      </div>
      <LinkButton href={path} weight={isBegun ? "strong" : "plain"}>
        {isBegun ? "Go on with it" : "Look at the round"}
      </LinkButton>
    </section>
  );
}
