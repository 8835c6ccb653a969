import { END_WORDS, GRADE_WORDS } from "@/content/words";
import { slotTitle } from "@/content/slot-words";
import { moneyWords } from "@/core/quantities/money";
import { awayWords, betweenWords, capitalised, dateWords } from "@/core/quantities/words";
import { Bracket } from "@/ui/bracket";
import { LinkButton } from "@/ui/button";
import type { RunSheet } from "../run-queries";

/** What the run changed: the new due day with its band and reason, and what stays open. */
export function FinishedView({ sheet }: { sheet: RunSheet }) {
  const { run, home, unit, slot, state, standing, today } = sheet;
  const look = state.settled.find((settled) => settled.grade)?.grade;
  const { wear, sentence } = standing;
  const stopped = state.status === "stopped";
  const price = slot.priceMinor;
  const facts: [string, string | undefined][] = [
    ["The old one", look && GRADE_WORDS[look].name],
    ["Fitted", slotTitle(slot)],
    [
      "Cost",
      price === undefined
        ? undefined
        : moneyWords({ minor: price * slot.filterCount, currency: home.currency }),
    ],
  ];
  return (
    <main className="mx-auto max-w-3xl px-4 py-8">
      <p className="text-second">{unit.name}</p>
      <h1 className="text-3xl">{stopped ? "Given up, nothing changed" : "Done"}</h1>
      {!stopped && wear?.likely && (
        <section className="mt-5 border-y-[3px] border-ink py-5" aria-label="Next due">
          <p className="text-[1.75rem] leading-tight font-bold" data-testid="next-due">
            Next due {awayWords(wear.likely, today)}, {dateWords(wear.likely, today)}
          </p>
          <p className="mt-2 text-lg">
            {wear.early &&
              wear.late &&
              `${capitalised(betweenWords(wear.early, wear.late, today))}. `}
            {sentence}
          </p>
        </section>
      )}
      {state.ends.open.length > 0 && (
        <ul className="mt-5 flex flex-col gap-2">
          {state.ends.open.map((end) => (
            <li key={end.id} className="flex items-center gap-4 bg-wash px-3 py-3 text-lg">
              <Bracket />
              Still open: {END_WORDS[end.end].open}
            </li>
          ))}
        </ul>
      )}
      {!stopped && (
        <dl className="mt-5 grid grid-cols-[8rem_1fr] text-lg">
          {facts
            .filter(([, value]) => value)
            .map(([name, value]) => (
              <div
                key={name}
                className="col-span-2 grid grid-cols-subgrid border-b border-rule py-2"
              >
                <dt className="text-second">{name}</dt>
                <dd>{value}</dd>
              </div>
            ))}
        </dl>
      )}
      <div className="mt-6 flex flex-wrap gap-3">
        {!stopped && (
          <LinkButton weight="strong" href={`/homes/${run.homeId}/parts/${slot.id}/label`}>
            Label for the frame
          </LinkButton>
        )}
        <LinkButton href={`/homes/${run.homeId}`}>Back to Today</LinkButton>
        <LinkButton href={`/homes/${run.homeId}/parts/${slot.id}`}>Open {unit.name}</LinkButton>
      </div>
    </main>
  );
}
