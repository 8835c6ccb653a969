"use client";

import { useRouter } from "next/navigation";
import { NuqsAdapter } from "nuqs/adapters/next/app";
import { parseAsStringLiteral, useQueryState } from "nuqs";
import { useMemo, useRef, useState } from "react";
import { Link } from "@/ui/link";
import { dateWords, dayAndMonth, longDate } from "@/core/quantities/words";
import { LinkButton } from "@/ui/button";
import { undoToast } from "@/ui/toasts";
import { discard, moveDays, publish, takeBack, type Answered } from "./year-actions";
import { Compared } from "./compared";
import { OccurrencePanel } from "./occurrence-panel";
import type { Chosen } from "./year-drag";
import { PlanPress } from "./plan-press";
import { useKeptFocus, type Place } from "./kept-focus";
import { usePlanner } from "./use-planner";
import { YearLanes } from "./year-lanes";
import { YearList } from "./year-list";
import type { ShownPlan, YearPage } from "./year-queries";

const SHOWN = ["draft", "current"] as const;

const ANSWER_WORDS: Partial<Record<Answered["kind"], string>> = {
  overtaken: "The draft was changed in another window. It is shown as it is now; try again.",
  nothing: "There was nothing to change. It is shown as it is now.",
  "too-far": "A plan reaches a year ahead and no further. Choose a day before that.",
  "too-many":
    "That job is pinned to as many days as it may be. Let go of one first, or change how often it is done.",
  unreadable: "That could not be read, and nothing was changed.",
};
const UNREACHED = "The app could not be reached; nothing was changed. Try again.";

/** The year in rounds: what is planned, what each change would cost, and the draft beside it. */
export const YearView = ({ page }: { page: YearPage }) => (
  <NuqsAdapter>
    <Year page={page} />
  </NuqsAdapter>
);

function Year({ page }: { page: YearPage }) {
  const router = useRouter();
  const [wanted, setWanted] = useQueryState("plan", parseAsStringLiteral(SHOWN));
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const { homeId, today, draft, current } = page;
  const shown = wanted === "current" ? (current ?? draft) : (draft ?? current);
  const days = useMemo(
    () =>
      (shown?.lanes ?? []).flatMap(({ jobs }) =>
        jobs.flatMap(({ id, marks }) => marks.map(({ day }) => ({ task: id, day }))),
      ),
    [shown],
  );
  const names = useMemo(
    () => new Map(page.bare.flatMap(({ jobs }) => jobs.map(({ id, name }) => [id, name] as const))),
    [page.bare],
  );
  const nameOf = (task: string) => names.get(task) ?? "this job";
  const planner = usePlanner(homeId, days, JSON.stringify([days, page.people]));

  const title = useRef<HTMLHeadingElement>(null);
  const focus = useKeptFocus(title, page);
  const choose = (of: Chosen) => {
    focus.forget();
    setChosen(of);
  };

  const tell = async (asked: Promise<Answered>, at: Place | null = null): Promise<boolean> => {
    setBusy(true);
    const answer = await asked.catch(() => null);
    setBusy(false);
    setTrouble(answer ? (ANSWER_WORDS[answer.kind] ?? null) : UNREACHED);
    // Where the app is not there, asking for the page anew would leave the one that is.
    if (answer) router.refresh();
    // What was pressed may not be there any more; where nobody answered it may be pressed again.
    if (answer && answer.kind !== "done") setChosen(null);
    focus.acted(answer?.kind === "done" ? at : null);
    return answer?.kind === "done";
  };
  const move: MoveTo = async ({ of, isRound }, to) => {
    focus.forget();
    const isMoved = await tell(
      moveDays(homeId, { version: draft?.version ?? null, move: { of: [...of], to } }),
      { of, day: to, isRound },
    );
    if (isMoved) {
      setChosen(null);
      void setWanted(null);
    }
  };

  return (
    <div data-bleed>
      <header className="px-4 wide:px-7">
        <div className="flex flex-wrap items-start justify-between gap-x-8 gap-y-3">
          <div>
            <h1 ref={title} tabIndex={-1} className="text-[1.75rem] outline-none">
              {titleOf(page, shown)}
            </h1>
            <p className="mt-1 text-second">{subtitleOf(page, shown)}</p>
          </div>
          <div className="flex flex-wrap items-center gap-3">
            <Link
              href={`/homes/${homeId}/year/people`}
              className="flex min-h-11 items-center text-link"
            >
              Who goes round, and when
            </Link>
            <Link
              href={`/homes/${homeId}/year/technician`}
              className="flex min-h-11 items-center text-link"
            >
              Technician’s days
            </Link>
            {!page.isEmpty && (
              <PlanPress
                page={page}
                planner={planner}
                onDraft={() => {
                  void setWanted(null);
                  router.refresh();
                }}
                onEnded={() => focus.acted(null)}
              />
            )}
          </div>
        </div>
        {trouble && (
          <p role="alert" className="mt-3 border-l-[6px] border-attention bg-wash px-3 py-2">
            {trouble}
          </p>
        )}
        {draft && (
          <Compared
            {...{ page, draft, busy }}
            shown={shown?.kind ?? "draft"}
            onShow={(kind) => void setWanted(kind === "draft" ? null : kind)}
            onPublish={() =>
              void tell(publish(homeId, { id: draft.id, version: draft.version })).then(
                (isDone) =>
                  isDone &&
                  undoToast("Published: these are the rounds now.", () =>
                    tell(takeBack(homeId, draft.id)),
                  ),
              )
            }
            onDiscard={() =>
              void tell(discard(homeId, { id: draft.id, isDiscarded: true })).then(
                (isDone) =>
                  isDone &&
                  undoToast("The draft is put away.", () =>
                    tell(discard(homeId, { id: draft.id, isDiscarded: false })),
                  ),
              )
            }
          />
        )}
        {shown && <Left shown={shown} nobody={page.nobody} today={today} />}
      </header>
      {page.isEmpty ? (
        <div className="px-4 pt-6 wide:px-7">
          <p className="max-w-prose text-lg">
            A year is planned from the machines of the home and what they want. Add the first one.
          </p>
          <LinkButton href={`/homes/${homeId}/units/new`} weight="strong" className="mt-3">
            Add a unit
          </LinkButton>
        </div>
      ) : (
        <>
          <YearLanes
            {...{ page, shown, planner, nameOf }}
            onChoose={choose}
            onMove={(what, to) => void move(what, to)}
          />
          <YearList {...{ page, shown }} onChoose={choose} />
          <Weather jobs={page.weather} />
        </>
      )}
      {chosen && shown && (
        <OccurrencePanel
          key={chosen.of.map(({ task, day }) => `${task} ${day}`).join()}
          {...{ page, shown, chosen, planner, nameOf, busy, trouble }}
          onClose={() => setChosen(null)}
          onClosed={() => focus.back(chosen)}
          onMove={(to) => void move(chosen, to)}
          onPinned={(asked) => void tell(asked)}
        />
      )}
      <p className="sr-only">{longDate(today)}</p>
    </div>
  );
}

/** What has no day of the year: it stands in its season, until the weather calls. */
function Weather({ jobs }: { jobs: YearPage["weather"] }) {
  if (jobs.length === 0) return null;
  return (
    <section aria-labelledby="weather-title" className="px-4 pt-8 wide:px-7">
      <h2 id="weather-title" className="text-xl">
        When the weather calls
      </h2>
      <p className="text-second">
        In no round: the days’ temperatures call for them, or what you note under Noticed.
      </p>
      <ul className="mt-2 grid gap-x-10 wide:grid-cols-2">
        {jobs.map(({ title, when }) => (
          <li key={title} className="border-b border-rule py-1.5">
            {title} <span className="text-second">{when}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Moves occurrences to another day. */
export type MoveTo = (what: Pick<Place, "of" | "isRound">, to: Chosen["day"]) => Promise<void>;

const HOUR = 60;
const counted = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

function titleOf({ isEmpty, to, today }: YearPage, shown: ShownPlan | null): string {
  if (isEmpty) return "The year";
  if (!shown) return "No rounds are planned yet";
  const { rounds, visits, minutes } = shown.sums;
  const hours = Math.max(1, Math.round(minutes / HOUR));
  const visited = visits > 0 ? ` and ${counted(visits, "visit", "visits")}` : "";
  return `${counted(rounds, "round", "rounds")}${visited} until ${dayAndMonth(to, today)}; ${counted(hours, "hour", "hours")}`;
}

function subtitleOf({ errands, publishedOn, today, isEmpty }: YearPage, shown: ShownPlan | null) {
  if (isEmpty) return "";
  const alone = `Each job on its own day would be ${errands} errands.`;
  if (!shown) return `${alone} Planned, a few rounds take them all.`;
  return publishedOn ? `${alone} Published ${dayAndMonth(publishedOn, today)}.` : alone;
}

/** What no plan mends by itself. */
function Left({
  shown,
  nobody,
  today,
}: {
  shown: ShownPlan;
  nobody: readonly string[];
  today: YearPage["today"];
}) {
  const missed = shown.kind === "current" ? shown.missed : [];
  const unsafe = shown.late.filter(({ isSafety }) => isSafety);
  const lines = [
    ...shown.late.filter(({ isSafety }) => !isSafety).map(({ words }) => `Late: ${words}.`),
    ...shown.withoutDay.map((title) => `In no round: ${title}.`),
    ...nobody.map((title) => `Nobody here does it: ${title}.`),
    ...shown.rounds.flatMap(({ overCap, day }) =>
      overCap > 0
        ? [`The round of ${dateWords(day, today)} is ${Math.round(overCap)} minutes too long.`]
        : [],
    ),
  ];
  if (lines.length + missed.length + unsafe.length === 0) return null;
  return (
    <div className="mt-3">
      <ul>
        {unsafe.map(({ words }) => (
          <li key={words} className="border-l-[6px] border-attention bg-wash px-3 py-1.5">
            Nobody is there in time. {words}.
          </li>
        ))}
        {missed.map(({ words }) => (
          <li key={words} className="border-l-[6px] border-attention bg-wash px-3 py-1.5">
            Not done: {words}.
          </li>
        ))}
      </ul>
      {lines.length > 0 && (
        <details>
          <summary className="min-h-11 py-2 text-link">
            {lines.length === 1 ? "One thing" : `${lines.length} things`} this plan leaves
          </summary>
          <ul>
            {lines.map((line) => (
              <li key={line} className="border-b border-rule py-1.5">
                {line}
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
