import { Link } from "@/ui/link";
import { dateWords, monthWords } from "@/core/quantities/words";
import type { PlainDate } from "@/core/quantities/plain-date";
import { standsFor } from "./kept-focus";
import type { Chosen } from "./year-drag";
import type { ShownPlan, YearPage, YearRound } from "./year-queries";

/** The rounds of the year one under another: what a phone shows instead of lanes. */
export function YearList({
  page: { homeId, today, bare },
  shown,
  onChoose,
}: {
  page: YearPage;
  shown: ShownPlan | null;
  onChoose: (chosen: Chosen) => void;
}) {
  if (!shown)
    return (
      <p className="px-4 pt-4 wide:hidden">
        {bare.reduce((sum, { jobs }) => sum + jobs.length, 0)} jobs wait to be put into rounds. Plan
        the year: it takes a few seconds.
      </p>
    );
  const months = new Map<string, YearRound[]>();
  for (const round of shown.rounds) {
    const month = round.day.slice(0, 7);
    months.set(month, [...(months.get(month) ?? []), round]);
  }
  return (
    <section aria-label="Rounds of the year" className="px-4 pt-4 wide:hidden">
      {[...months].map(([month, rounds]) => (
        <section key={month} className="mt-4">
          <h2 className="border-b-[3px] border-ink pb-1 text-xl">
            {monthWords(`${month}-01` as PlainDate)}
          </h2>
          <ul>
            {rounds.map((round) => (
              <Round
                key={`${round.person} ${round.day}`}
                {...{ homeId, today, round, shown, onChoose }}
              />
            ))}
          </ul>
        </section>
      ))}
    </section>
  );
}

function Round({
  homeId,
  today,
  round: { person, name, day, minutes, isVisit, returns },
  shown,
  onChoose,
}: {
  homeId: string;
  today: PlainDate;
  round: YearRound;
  shown: ShownPlan;
  onChoose: (chosen: Chosen) => void;
}) {
  const jobs = shown.lanes.flatMap((lane) =>
    lane.jobs.flatMap((job) => {
      const mark = job.person === person && job.marks.find((each) => each.day === day);
      return mark ? [{ job, mark }] : [];
    }),
  );
  return (
    <li className="border-b border-rule py-2">
      <Link
        href={`/homes/${homeId}/year/${day}/${person}`}
        className="flex min-h-11 items-center justify-between gap-3 font-semibold no-underline"
      >
        <span>
          {isVisit ? "Visit, " : ""}
          {dateWords(day, today)}
          {name && !isVisit ? <span className="font-normal text-second">, {name}</span> : null}
        </span>
        <span className="figures text-second">{minutes} min</span>
      </Link>
      <ul>
        {jobs.map(({ job, mark }) => (
          <li key={job.id}>
            <button
              type="button"
              {...standsFor({ of: [{ task: job.id, day }], day })}
              onClick={() =>
                onChoose({
                  title: job.title,
                  of: [{ task: job.id, day }],
                  person,
                  day,
                  due: mark.due,
                })
              }
              className="flex min-h-11 w-full items-center gap-2 text-left text-link"
            >
              <span className="grow">{job.title}</span>
              {mark.isPinned && <span className="text-second">pinned</span>}
              {mark.isLate && <span className="text-attention-text">well past its window</span>}
            </button>
          </li>
        ))}
        {returns.map((title) => (
          <li key={title} className="flex min-h-11 items-center">
            Put back what dried: {title}
          </li>
        ))}
      </ul>
    </li>
  );
}
