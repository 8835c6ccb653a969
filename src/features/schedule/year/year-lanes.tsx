"use client";

import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragMoveEvent,
  type KeyboardCoordinateGetter,
} from "@dnd-kit/core";
import { useMemo, useRef, useState } from "react";
import { addDays, daysFrom, type PlainDate } from "@/core/quantities/plain-date";
import { dateWords, MONTHS } from "@/core/quantities/words";
import { along } from "@/presentation/along";
import { minutesWords, priceWords, type NameOf } from "@/presentation/plan-words";
import { useZoom, ZOOMS } from "@/ui/beam-zoom";
import { useLinkedScroll } from "@/ui/linked-scroll";
import type { Chosen } from "./year-drag";
import { LaneRow } from "./lane-row";
import type { Lifted, Lifting, Priced, Stretch } from "./liftable";
import { RoundHead } from "./round-head";
import { placedRounds } from "./placed-rounds";
import type { Planner } from "./use-planner";
import { droppedOn, nextDay, roundDays, type Grouped } from "./year-drag";
import type { Lane, ShownPlan, YearPage, YearRound } from "./year-queries";

/** A lane for each machine, under the beam and as wide: windows as bars, rounds as columns through them. */
export function YearLanes({
  page,
  shown,
  planner,
  nameOf,
  onChoose,
  onMove,
}: {
  page: YearPage;
  shown: ShownPlan | null;
  planner: Planner;
  nameOf: NameOf;
  onChoose: (chosen: Chosen) => void;
  onMove: (what: { of: Grouped["of"]; isRound: true | undefined }, to: PlainDate) => void;
}) {
  const zoom = useZoom();
  const scroller = useRef<HTMLDivElement>(null);
  const sheet = useRef<HTMLDivElement>(null);
  useLinkedScroll(scroller);
  const [opened, setOpened] = useState<string | null>(null);
  const [lifted, setLifted] = useState<Lifted | null>(null);
  const [priced, setPriced] = useState<Priced | null>(null);
  const asked = useRef<PlainDate | null>(null);
  // The keys ask where it stands while it is lifted: what they close over is from before.
  const target = useRef<PlainDate | null>(null);
  /** The day the arrow keys chose; null where it is dragged by a pointer. */
  const keyed = useRef<PlainDate | null>(null);
  const lanes = shown?.lanes ?? page.bare;
  const rounds = useMemo(() => shown?.rounds ?? [], [shown]);
  const stretch: Stretch = page;
  const dayWidth = () =>
    (sheet.current?.getBoundingClientRect().width ?? 1) / (daysFrom(page.from, page.to) + 1);

  const ask = async (of: Grouped["of"], to: PlainDate, from: PlainDate) => {
    asked.current = to;
    if (to === from) return setPriced(null);
    const [price] = await planner.prices(of, [to]).catch(() => []);
    // What was overtaken by a further move is not shown.
    if (price && asked.current === to)
      setPriced({ to, words: priceWords(price, nameOf), minutes: minutesWords(price) });
  };
  const lift = (data: Grouped) => {
    const { id, of, person, day, isRound } = data;
    setLifted({ id, of, person, isRound, from: day, to: day });
    setPriced(null);
    asked.current = null;
    target.current = data.day;
    keyed.current = null;
  };
  const drag = ({ active, delta }: DragMoveEvent) => {
    if (!shown) return;
    const data = active.data.current as Grouped;
    const px = { dragged: delta.x, day: dayWidth() };
    // By the keys it is the very day: beside a round a pointer would be drawn back to it.
    const to = keyed.current ?? droppedOn(page, roundDays(shown, data.person), data.day, px);
    target.current = to;
    setLifted((before) => (before && before.to !== to ? { ...before, to } : before));
    if (asked.current !== to) void ask(data.of, to, data.day);
  };
  const drop = () => {
    if (lifted && lifted.to !== lifted.from) onMove(lifted, lifted.to);
    setLifted(null);
    setPriced(null);
    asked.current = null;
  };
  const byKeys: KeyboardCoordinateGetter = (event, { currentCoordinates, context }) => {
    const by = event.code === "ArrowRight" ? 1 : event.code === "ArrowLeft" ? -1 : null;
    const data = context.active?.data.current as Grouped | undefined;
    const from = target.current;
    if (by === null || !data || !shown || !from) return undefined;
    event.preventDefault();
    const liked = page.people.find(({ id }) => id === data.person)?.liked ?? [];
    const to = nextDay(page, roundDays(shown, data.person), liked, from, by);
    keyed.current = to;
    return { ...currentCoordinates, x: currentCoordinates.x + daysFrom(from, to) * dayWidth() };
  };
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, {
      keyboardCodes: {
        start: ["Space"],
        cancel: ["Escape"],
        end: ["Space", "Enter", "NumpadEnter"],
      },
      coordinateGetter: byKeys,
    }),
  );
  const canMove = shown !== null;
  const lifting: Lifting = { stretch, today: page.today, lifted, priced, canMove, onChoose };

  return (
    <section aria-label="Lanes of the year" className="mt-3 hidden wide:block">
      <DndContext
        id="year"
        sensors={sensors}
        autoScroll={false}
        onDragStart={({ active }) => lift(active.data.current as Grouped)}
        onDragMove={drag}
        onDragEnd={drop}
        onDragCancel={() => {
          setLifted(null);
          setPriced(null);
        }}
        accessibility={{ screenReaderInstructions: { draggable: HOW_TO_MOVE } }}
      >
        <p aria-live="assertive" className="sr-only">
          {lifted && liftedWords(lifted, priced, page.today)}
        </p>
        <div ref={scroller} className="overflow-x-auto overflow-y-hidden">
          <div
            ref={sheet}
            style={{ width: `${100 * ZOOMS[zoom]}%` }}
            className="relative pb-6"
            onKeyDown={(event) => !lifted && walk(event)}
          >
            <Months {...{ stretch }} />
            <Columns {...{ stretch, rounds, lifted }} today={page.today} />
            <div className="relative h-[6rem]">
              {placedRounds(rounds, page, ZOOMS[zoom]).map(({ round, row }) => (
                <RoundHead
                  key={`${round.person} ${round.day}`}
                  {...{ round, row, lifting }}
                  of={occurrencesOf(lanes, round)}
                />
              ))}
            </div>
            {lanes.map((lane) => (
              <LaneRow
                key={lane.id}
                {...{ lane, lifting }}
                isOpen={opened === lane.id}
                onOpen={() => setOpened((before) => (before === lane.id ? null : lane.id))}
              />
            ))}
          </div>
        </div>
      </DndContext>
      <p className="px-7 pt-1 text-second">
        A bar reaches from the day something may be done to the day it should be; the stroke in it
        is its due day, and where wear decides it is hatched. Drag a mark or a round’s head, or
        press Space on it and use the arrow keys: the price stands beside it before you drop it.
        {lifted ? "" : " Enter says why it is there."}
      </p>
    </section>
  );
}

const HOW_TO_MOVE =
  "Space lifts it, the arrow keys move it to the next round or liked day, Space drops it, Escape puts it back.";

function liftedWords({ from, to }: Lifted, priced: Priced | null, today: PlainDate): string {
  if (to === from) return `Lifted from ${dateWords(from, today)}.`;
  const price = priced?.to === to ? `: ${priced.words}, ${priced.minutes}` : "";
  return `To ${dateWords(to, today)}${price}`;
}

/** Walks from mark to mark: along a lane, or to the nearest one above or below. */
function walk(event: React.KeyboardEvent<HTMLDivElement>): void {
  const here = (event.target as HTMLElement).closest<HTMLElement>("[data-mark]");
  if (!here) return;
  const all = [...event.currentTarget.querySelectorAll<HTMLElement>("[data-mark]")];
  const row = (of: HTMLElement) => of.dataset["row"]!;
  const left = (of: HTMLElement) => of.getBoundingClientRect().left;
  const rows = [...new Set(all.map(row))];
  const at = rows.indexOf(row(here));
  const own = all.filter((each) => row(each) === row(here)).sort((a, b) => left(a) - left(b));
  const nearest = (name: string | undefined) =>
    all
      .filter((each) => row(each) === name)
      .sort((a, b) => Math.abs(left(a) - left(here)) - Math.abs(left(b) - left(here)))[0];
  const next =
    event.key === "ArrowRight"
      ? own[own.indexOf(here) + 1]
      : event.key === "ArrowLeft"
        ? own[own.indexOf(here) - 1]
        : event.key === "ArrowDown"
          ? nearest(rows[at + 1])
          : event.key === "ArrowUp"
            ? nearest(rows[at - 1])
            : undefined;
  if (!next) return;
  event.preventDefault();
  next.focus();
}

const occurrencesOf = (lanes: readonly Lane[], round: YearRound): Grouped["of"] =>
  lanes.flatMap(({ jobs }) =>
    jobs.flatMap(({ id, person, marks }) =>
      person === round.person
        ? marks.flatMap(({ day }) => (day === round.day ? [{ task: id, day }] : []))
        : [],
    ),
  );

/** The first of each month, through all lanes. */
function Months({ stretch }: { stretch: Stretch }) {
  const starts: PlainDate[] = [];
  for (let date = stretch.from; date <= stretch.to; date = addDays(date, 1))
    if (date.endsWith("-01")) starts.push(date);
  return (
    <div aria-hidden="true" className="absolute inset-0">
      {starts.map((date) => (
        <span
          key={date}
          style={{ left: `${along(stretch, date)}%` }}
          className="absolute inset-y-0 border-l border-rule pl-1.5 text-[0.8125rem] leading-tight text-second"
        >
          {MONTHS[Number(date.slice(5, 7)) - 1]!.slice(0, 3)}
        </span>
      ))}
    </div>
  );
}

/** The rounds through all lanes, and today. */
function Columns({
  stretch,
  rounds,
  lifted,
  today,
}: {
  stretch: Stretch;
  rounds: readonly YearRound[];
  lifted: Lifted | null;
  today: PlainDate;
}) {
  return (
    <div aria-hidden="true" className="absolute inset-x-0 top-[6rem] bottom-0">
      {rounds.map(({ person, day, isVisit }) => (
        <span
          key={`${person} ${day}`}
          data-visit={isVisit || undefined}
          style={{ left: `${along(stretch, day)}%` }}
          className="absolute inset-y-0 w-4 -translate-x-1/2 bg-band/45 data-visit:border-x-[1.5px] data-visit:border-second data-visit:bg-transparent"
        />
      ))}
      <span
        style={{ left: `${along(stretch, today)}%` }}
        className="absolute inset-y-0 -ml-px border-l-2 border-attention"
      />
      {lifted && lifted.to !== lifted.from && (
        <span
          style={{ left: `${along(stretch, lifted.to)}%` }}
          className="absolute inset-y-0 w-5 -translate-x-1/2 border-[1.5px] border-dashed border-ink"
        />
      )}
    </div>
  );
}
