"use client";

import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
  type DragMoveEvent,
  type KeyboardCoordinateGetter,
} from "@dnd-kit/core";
import { Pin } from "lucide-react";
import { useMemo, useRef, useState, type ReactNode } from "react";
import { addDays, daysFrom, type PlainDate } from "@/core/quantities/plain-date";
import { dateWords, MONTHS } from "@/core/quantities/words";
import { along } from "@/presentation/along";
import { minutesWords, priceWords, type NameOf } from "@/presentation/plan-words";
import { useZoom, ZOOMS } from "@/ui/beam-zoom";
import { useLinkedScroll } from "@/ui/linked-scroll";
import type { Chosen } from "./occurrence-panel";
import { placedRounds } from "./placed-rounds";
import type { Planner } from "./use-planner";
import { droppedOn, nextDay, roundDays, type Grouped } from "./year-drag";
import type { Lane, ShownPlan, YearJob, YearPage, YearRound } from "./year-queries";

type Stretch = Pick<YearPage, "from" | "to">;
/** What is being dragged: some occurrences, and where they would be dropped now. */
type Lifted = { id: string; of: Grouped["of"]; person: string; from: PlainDate; to: PlainDate };
type Priced = { to: PlainDate; words: string; minutes: string };

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
  onMove: (of: Grouped["of"], to: PlainDate) => void;
}) {
  const zoom = useZoom();
  const scroller = useRef<HTMLDivElement>(null);
  const sheet = useRef<HTMLDivElement>(null);
  useLinkedScroll(scroller);
  const [opened, setOpened] = useState<string | null>(null);
  const [lifted, setLifted] = useState<Lifted | null>(null);
  const [priced, setPriced] = useState<Priced | null>(null);
  const asked = useRef<PlainDate | null>(null);
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
    setLifted({ id: data.id, of: data.of, person: data.person, from: data.day, to: data.day });
    setPriced(null);
    asked.current = null;
  };
  const drag = ({ active, delta }: DragMoveEvent) => {
    if (!shown) return;
    const data = active.data.current as Grouped;
    const px = { dragged: delta.x, day: dayWidth() };
    const to = droppedOn(page, roundDays(shown, data.person), data.day, px);
    setLifted((before) => (before && before.to !== to ? { ...before, to } : before));
    if (asked.current !== to) void ask(data.of, to, data.day);
  };
  const drop = () => {
    if (lifted && lifted.to !== lifted.from) onMove(lifted.of, lifted.to);
    setLifted(null);
    setPriced(null);
    asked.current = null;
  };
  const byKeys: KeyboardCoordinateGetter = (event, { currentCoordinates, context }) => {
    const by = event.code === "ArrowRight" ? 1 : event.code === "ArrowLeft" ? -1 : null;
    const data = context.active?.data.current as Grouped | undefined;
    if (by === null || !data || !shown || !lifted) return undefined;
    event.preventDefault();
    const liked = page.people.find(({ id }) => id === data.person)?.liked ?? [];
    const to = nextDay(page, roundDays(shown, data.person), liked, lifted.to, by);
    return {
      ...currentCoordinates,
      x: currentCoordinates.x + daysFrom(lifted.to, to) * dayWidth(),
    };
  };
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, {
      keyboardCodes: { start: ["Space"], cancel: ["Escape"], end: ["Space", "Enter"] },
      coordinateGetter: byKeys,
    }),
  );
  const canMove = shown !== null;

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
                  {...{ round, row, stretch, lifted, priced, canMove }}
                  today={page.today}
                  of={occurrencesOf(lanes, round)}
                  onChoose={onChoose}
                />
              ))}
            </div>
            {lanes.map((lane) => (
              <LaneRow
                key={lane.id}
                {...{ lane, stretch, lifted, priced, canMove, onChoose }}
                today={page.today}
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

const HEAD_TOP = ["1.15rem", "3.15rem"];

function RoundHead({
  round,
  row,
  stretch,
  today,
  of,
  lifted,
  priced,
  canMove,
  onChoose,
}: {
  round: YearRound;
  row: number | null;
  stretch: Stretch;
  today: PlainDate;
  of: Grouped["of"];
  lifted: Lifted | null;
  priced: Priced | null;
  canMove: boolean;
  onChoose: (chosen: Chosen) => void;
}) {
  const { person, day, minutes, jobs, isVisit, isAnnounced, name } = round;
  const id = `round ${person} ${day}`;
  const who = name ? `, ${name}` : "";
  const counted = `${jobs} ${jobs === 1 ? "job" : "jobs"}, ${minutes} minutes`;
  const title = `${isVisit ? "Visit" : "Round"} of ${dateWords(day, today)}${who}: ${counted}`;
  const data: Grouped = { id, day, person, of, marks: [] };
  return (
    <Liftable
      {...{ data, stretch, lifted, priced, canMove }}
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

function LaneRow({
  lane,
  stretch,
  today,
  lifted,
  priced,
  canMove,
  isOpen,
  onOpen,
  onChoose,
}: {
  lane: Lane;
  stretch: Stretch;
  today: PlainDate;
  lifted: Lifted | null;
  priced: Priced | null;
  canMove: boolean;
  isOpen: boolean;
  onOpen: () => void;
  onChoose: (chosen: Chosen) => void;
}) {
  const { id, name, jobs } = lane;
  return (
    <div className="relative border-t border-rule">
      <button
        type="button"
        aria-expanded={isOpen}
        onClick={onOpen}
        className="sticky left-0 z-10 flex h-6 items-center px-7 text-[0.9375rem] font-semibold"
      >
        <span className="bg-ground/85 pr-2">{name}</span>
        <span className="bg-ground/85 font-normal text-second">
          {isOpen ? "close" : jobs.length}
        </span>
      </button>
      {isOpen ? (
        jobs.map((job) => (
          <div key={job.id} className="relative h-9">
            <span className="pointer-events-none sticky left-0 z-10 inline-block px-7 text-[0.8125rem] leading-4 text-second">
              <span className="bg-ground/85">{job.name}</span>
            </span>
            <Bars {...{ stretch, today }} jobs={[job]} />
            <Others {...{ stretch }} jobs={[job]} />
            <Marks
              {...{ stretch, today, lifted, priced, canMove, onChoose }}
              groups={grouped(`${id} ${job.id}`, [job])}
              row={`${id} ${job.id}`}
              titleOf={() => job.title}
            />
          </div>
        ))
      ) : (
        <div className="relative h-6">
          <Bars {...{ stretch, today }} jobs={jobs} />
          <Others {...{ stretch }} jobs={jobs} />
          <Marks
            {...{ stretch, today, lifted, priced, canMove, onChoose }}
            groups={grouped(id, jobs)}
            row={id}
            titleOf={({ of }) =>
              of.length === 1
                ? (jobs.find((job) => job.id === of[0]!.task)?.title ?? name)
                : `${name}, ${of.length} jobs`
            }
          />
        </div>
      )}
    </div>
  );
}

/** The marks of a lane, those of one day and person together. */
function grouped(lane: string, jobs: readonly YearJob[]): Grouped[] {
  const groups = new Map<string, Grouped>();
  for (const { id, person, marks } of jobs)
    for (const mark of marks) {
      const key = `${lane} ${person} ${mark.day}`;
      const group = groups.get(key) ?? { id: key, day: mark.day, person, of: [], marks: [] };
      group.of.push({ task: id, day: mark.day });
      group.marks.push(mark);
      groups.set(key, group);
    }
  return [...groups.values()].sort((a, b) => (a.day < b.day ? -1 : 1));
}

/** Windows as bars, and the due day in each. */
function Bars({
  jobs,
  stretch,
  today,
}: {
  jobs: readonly YearJob[];
  stretch: Stretch;
  today: PlainDate;
}) {
  const at = (day: PlainDate) =>
    along(stretch, day < stretch.from ? stretch.from : day > stretch.to ? stretch.to : day);
  return (
    <div aria-hidden="true" className="absolute inset-x-0 bottom-0 h-6">
      {jobs.flatMap(({ id, marks, isWear }) =>
        marks.map(({ day, opens, due, closes }, i) => {
          if (due === null) return null;
          const first = opens ?? due;
          const last = closes ?? due;
          if (last < stretch.from || first > stretch.to) return null;
          return (
            <span key={`${id} ${day} ${i}`}>
              <span
                data-wear={isWear || undefined}
                style={{ left: `${at(first)}%`, width: `${Math.max(0.15, at(last) - at(first))}%` }}
                className="absolute top-2 h-2.5 bg-second/25 data-wear:bg-[repeating-linear-gradient(115deg,var(--color-second)_0_1px,transparent_1px_4px)]"
              />
              {due >= today && due <= stretch.to && (
                <span
                  style={{ left: `${at(due)}%` }}
                  className="absolute top-1 h-4.5 border-l-2 border-second"
                />
              )}
            </span>
          );
        }),
      )}
    </div>
  );
}

/** Where the other plan has them. */
function Others({ jobs, stretch }: { jobs: readonly YearJob[]; stretch: Stretch }) {
  const days = new Set(jobs.flatMap(({ others }) => others));
  return (
    <div aria-hidden="true" className="absolute inset-x-0 bottom-0 h-6">
      {[...days]
        .filter((day) => day <= stretch.to)
        .map((day) => (
          <span
            key={day}
            style={{ left: `${along(stretch, day)}%` }}
            className="absolute top-1.5 size-3 -translate-x-1/2 border-[1.5px] border-dashed border-second"
          />
        ))}
    </div>
  );
}

function Marks({
  groups,
  row,
  stretch,
  today,
  lifted,
  priced,
  canMove,
  titleOf,
  onChoose,
}: {
  groups: readonly Grouped[];
  row: string;
  stretch: Stretch;
  today: PlainDate;
  lifted: Lifted | null;
  priced: Priced | null;
  canMove: boolean;
  titleOf: (group: Grouped) => string;
  onChoose: (chosen: Chosen) => void;
}) {
  return (
    <div className="absolute inset-x-0 bottom-0 h-6">
      {groups
        .filter(({ day }) => day <= stretch.to)
        .map((group) => {
          const { day, of, person, marks } = group;
          const isPinned = marks.some((mark) => mark.isPinned);
          const isLate = marks.some((mark) => mark.isLate);
          const title = titleOf(group);
          const words = [
            `${title}, ${dateWords(day, today)}`,
            ...(isPinned ? ["pinned"] : []),
            ...(isLate ? ["past its window"] : []),
          ].join(", ");
          return (
            <Liftable
              key={group.id}
              data={group}
              {...{ row, stretch, lifted, priced, canMove }}
              label={words}
              top="0"
              onPress={() =>
                onChoose({ title, of, person, day, due: marks.length === 1 ? marks[0]!.due : null })
              }
              className="flex h-6 w-6 -translate-x-1/2 items-center justify-center"
            >
              <span
                data-late={isLate || undefined}
                data-many={of.length > 1 || undefined}
                className="figures flex size-3.5 items-center justify-center bg-ink text-[0.6875rem] leading-none font-bold text-ground data-late:bg-attention data-late:text-attention-ink data-many:size-4.5"
              >
                {isPinned ? (
                  <Pin aria-hidden="true" strokeWidth={3} className="size-3" />
                ) : of.length > 1 ? (
                  of.length
                ) : null}
              </span>
            </Liftable>
          );
        })}
    </div>
  );
}

/** Something that can be pressed, lifted and dropped on another day; the price stands beside it. */
function Liftable({
  data,
  row,
  stretch,
  lifted,
  priced,
  canMove,
  label,
  top,
  isVisit,
  className,
  onPress,
  children,
}: {
  data: Grouped;
  /** What the arrow keys walk along. */
  row: string;
  stretch: Stretch;
  lifted: Lifted | null;
  priced: Priced | null;
  canMove: boolean;
  label: string;
  top: string;
  isVisit?: boolean;
  className: string;
  onPress: () => void;
  children: ReactNode;
}) {
  const { attributes, listeners, setNodeRef } = useDraggable({
    id: data.id,
    data,
    disabled: !canMove,
  });
  const isLifted = lifted?.id === data.id;
  const at = isLifted ? lifted.to : data.day;
  const left = along(stretch, at);
  return (
    <>
      <button
        ref={setNodeRef}
        type="button"
        {...attributes}
        {...listeners}
        role={undefined}
        aria-label={label}
        title={label}
        data-mark=""
        data-row={row}
        data-visit={isVisit || undefined}
        data-lifted={isLifted || undefined}
        onClick={onPress}
        style={{ left: `${left}%`, top }}
        className={`absolute z-[5] touch-none data-lifted:z-30 data-lifted:outline-2 data-lifted:outline-ink data-lifted:outline-dashed ${className}`}
      >
        {children}
      </button>
      {isLifted && lifted.to !== lifted.from && (
        <span
          data-price=""
          data-side={left > 60 ? "left" : "right"}
          style={{ left: `${left}%`, top: `calc(${top} - 0.25rem)` }}
          className="pointer-events-none absolute z-40 w-max max-w-sm border-[1.5px] border-ink bg-surface px-2 py-1 text-[0.9375rem] leading-tight data-[side=left]:-translate-x-[calc(100%+1rem)] data-[side=right]:ml-4"
        >
          <PriceLine {...{ lifted, priced }} />
        </span>
      )}
    </>
  );
}

function PriceLine({ lifted, priced }: { lifted: Lifted; priced: Priced | null }) {
  const isKnown = priced?.to === lifted.to;
  return (
    <>
      <strong>{dateWords(lifted.to, lifted.from)}</strong>
      {isKnown ? `: ${priced.words}` : " …"}
      {isKnown && <span className="block text-second">{priced.minutes}</span>}
    </>
  );
}
