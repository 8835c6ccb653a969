import { Pin } from "lucide-react";
import type { PlainDate } from "@/core/quantities/plain-date";
import { dateWords } from "@/core/quantities/words";
import { along } from "@/presentation/along";
import { Liftable, type Lifting, type Stretch } from "./liftable";
import type { Grouped } from "./year-drag";
import type { Lane, YearJob } from "./year-queries";

/** The lane of a machine: all its jobs in one row, or each in a row of its own. */
export function LaneRow({
  lane,
  lifting,
  isOpen,
  onOpen,
}: {
  lane: Lane;
  lifting: Lifting;
  isOpen: boolean;
  onOpen: () => void;
}) {
  const { stretch, today } = lifting;
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
              lifting={lifting}
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
            lifting={lifting}
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
  lifting,
  titleOf,
}: {
  groups: readonly Grouped[];
  row: string;
  lifting: Lifting;
  titleOf: (group: Grouped) => string;
}) {
  const { stretch, today, onChoose } = lifting;
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
            ...(isLate ? ["well past its window"] : []),
          ].join(", ");
          return (
            <Liftable
              key={group.id}
              data={group}
              {...{ row, lifting }}
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
