"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { useEffect, useEffectEvent, useRef, useState, type ReactNode } from "react";
import { tinykeys } from "tinykeys";
import { GRADE_OPTIONS } from "@/content/grade-options";
import { END_WORDS, GRADE_WORDS } from "@/content/words";
import type { Step } from "@/core/procedures/procedure";
import { blockedBy, type RunState } from "@/core/procedures/run";
import type { FilterSlot, Unit } from "@/core/register/register";
import type { Grade } from "@/core/wear/belief";
import { GradeChoice } from "@/ui/grade-choice";
import { thereAndBack } from "../there-and-back";
import { StepHelp } from "./step-help";
import { WayRail } from "./way-rail";
import { useRun, type RunInput } from "./use-run";
import { useWakeLock } from "./use-wake-lock";
import { WhyOpen } from "./why-open";

const BIG =
  "flex min-h-14 items-center justify-center px-4 text-[1.1875rem] font-semibold rounded-sm border-2 border-ink";

/** Space chooses a swatch that is not chosen yet, and presses what it stands on. */
const needsSpace = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.closest("a, button, summary") !== null ||
    (target instanceof HTMLInputElement && target.type === "radio" && !target.checked));

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.closest("input[type=text], textarea") !== null;

/** One step a screen, what is open beside it, and the thumb's two buttons at the foot. */
export function RunView({
  input,
  homeId,
  unit,
  slot,
  title,
  dateToday,
  shutOff,
}: {
  input: RunInput;
  homeId: string;
  unit: Unit;
  slot: FilterSlot;
  title: string;
  dateToday: string;
  /** The press that tells how to shut the machine off. */
  shutOff: ReactNode;
}) {
  const router = useRouter();
  const { steps, state, trouble, isSaved, act } = useRun(input);
  const [grade, setGrade] = useState<Grade | null>(null);
  const [asking, setAsking] = useState(false);
  const heading = useRef<HTMLHeadingElement>(null);
  useWakeLock();

  const { current } = state;
  const blocked = current ? blockedBy(state, input.place, current) : [];
  const previous = state.settled.at(-1)?.step;
  const isOver = state.status !== "going";

  // A finished run is the server's to show, once it has heard of the finish: asked before, it would
  // answer with the run still going, and nobody would ask again.
  useEffect(() => {
    if (isOver && isSaved && !trouble) router.refresh();
  }, [isOver, isSaved, trouble, router]);

  // Focus is the browser's: it follows the step, so that a reader reads it out.
  useEffect(() => heading.current?.focus(), [current?.id]);

  const goOn = () => {
    if (!current) return act({ kind: "finished" });
    if (blocked.length > 0) return;
    if (current.records === "look") {
      if (!grade) return;
      setGrade(null);
      return act({ kind: "done", step: current.id, grade });
    }
    act({ kind: "done", step: current.id });
  };
  const goBack = () => previous && act({ kind: "back", step: previous.id });

  const onSpace = useEffectEvent((event: KeyboardEvent) => {
    if (asking || isTyping(event.target) || needsSpace(event.target)) return;
    event.preventDefault();
    goOn();
  });
  const onBackspace = useEffectEvent((event: KeyboardEvent) => {
    if (asking || isTyping(event.target)) return;
    event.preventDefault();
    goBack();
  });
  const onStaysOpen = useEffectEvent((event: KeyboardEvent) => {
    if (asking || isTyping(event.target) || !current?.closes) return;
    event.preventDefault();
    setAsking(true);
  });
  // Keys belong to the window, which React does not own.
  useEffect(
    () =>
      tinykeys(window, {
        Space: (event) => onSpace(event),
        Backspace: (event) => onBackspace(event),
        o: (event) => onStaysOpen(event),
      }),
    [],
  );

  const open = state.ends.open.length;
  const mustChoose = current?.records === "look" && !grade;
  return (
    <main className="mx-auto flex min-h-dvh max-w-5xl flex-col bg-ground">
      <header className="sticky top-0 z-20 flex min-h-14 items-center justify-between gap-4 border-b-[5px] border-ink bg-ground px-4">
        <h1 className="text-lg">{title}</h1>
        <p className="figures ml-auto text-[1.0625rem]" data-open={open}>
          {open === 0 ? "nothing open" : `${open} left open`}
        </p>
        {shutOff}
      </header>
      <div className="grid grow grid-cols-[3.5rem_minmax(0,1fr)] wide:grid-cols-[11rem_minmax(0,1fr)]">
        <div className="border-r border-rule bg-surface px-1 pt-4 wide:px-5">
          <div className="sticky top-18">
            <WayRail way={thereAndBack(steps, state)} />
          </div>
        </div>
        <div className="px-4 pt-5 pb-6 wide:px-10 wide:pt-10">
          {trouble && (
            <p
              role="alert"
              className="mb-4 border-l-[6px] border-attention bg-wash px-3 py-2 text-lg"
            >
              {trouble}
            </p>
          )}
          {current ? (
            <StepBody
              key={current.id}
              {...{ current, state, blocked, unit, slot, grade, setGrade, heading, dateToday }}
              number={state.settled.length + 1}
              total={steps.length}
            />
          ) : (
            <Finish state={state} heading={heading} />
          )}
        </div>
      </div>
      {asking && current && (
        <WhyOpen
          thing={closingThing(steps, current)}
          onClose={() => setAsking(false)}
          onSay={(words) => {
            setAsking(false);
            act({ kind: "leave-open", step: current.id, words });
          }}
        />
      )}
      <footer className="sticky bottom-0 border-t border-rule bg-surface px-4 pt-1 pb-4">
        <div className="flex min-h-12 flex-wrap items-center justify-between gap-x-6">
          <Link
            href={`/homes/${homeId}`}
            className="flex min-h-11 items-center text-[1.125rem] text-link"
          >
            Leave for now
          </Link>
          {current?.closes ? (
            <button
              type="button"
              onClick={() => setAsking(true)}
              className="min-h-11 text-[1.125rem] text-link"
            >
              It stays open
            </button>
          ) : (
            open === 0 &&
            !isOver &&
            previous !== undefined &&
            current && (
              <button
                type="button"
                onClick={() => act({ kind: "stopped" })}
                className="min-h-11 text-[1.125rem] text-link"
              >
                Give this job up
              </button>
            )
          )}
        </div>
        <div className="grid grid-cols-[6.5rem_1fr] gap-3">
          <button
            type="button"
            onClick={goBack}
            disabled={!previous || isOver}
            className={`${BIG} disabled:border-rule disabled:text-second`}
          >
            Back
          </button>
          <button
            type="button"
            onClick={goOn}
            aria-disabled={mustChoose || blocked.length > 0 || isOver || undefined}
            className={`${BIG} bg-ink text-ground aria-disabled:border-second aria-disabled:bg-second`}
          >
            {current ? goOnWords(current, grade) : "Finish"}
          </button>
        </div>
      </footer>
    </main>
  );
}

function goOnWords(step: Step, grade: Grade | null): string {
  if (step.records !== "look") return "Done, go on";
  if (!grade) return "Choose how it looks";
  const { name } = GRADE_WORDS[grade];
  return `${name.charAt(0).toUpperCase()}${name.slice(1)}, go on`;
}

function closingThing(steps: readonly Step[], step: Step): string {
  const end = steps.flatMap((each) => each.opens ?? []).find((each) => each.key === step.closes);
  return end ? `${end.thing} stays ${end.state}` : "It stays open";
}

function StepBody({
  current,
  state,
  blocked,
  unit,
  slot,
  grade,
  setGrade,
  heading,
  number,
  total,
  dateToday,
}: {
  current: Step;
  state: RunState;
  blocked: string[];
  unit: Unit;
  slot: FilterSlot;
  grade: Grade | null;
  setGrade: (grade: Grade) => void;
  heading: React.RefObject<HTMLHeadingElement | null>;
  number: number;
  total: number;
  dateToday: string;
}) {
  const open = state.ends.open.filter((end) => blocked.includes(end.id));
  return (
    <div className="flex flex-col gap-4 text-[1.375rem] leading-snug">
      <p className="figures text-[1.125rem] text-second">
        Step {number} of {total}
      </p>
      {current.caution && (
        <p className="border-l-[6px] border-attention bg-wash px-4 py-3">
          <strong>Take care.</strong> {current.caution}
        </p>
      )}
      <h2 ref={heading} tabIndex={-1} className="text-[1.875rem] outline-none wide:text-[2.25rem]">
        {current.title}
      </h2>
      {current.detail && <p className="max-w-[34rem]">{current.detail}</p>}
      {current.why && <p className="max-w-[34rem] text-second">{current.why}</p>}
      {open.length > 0 && (
        <p role="alert" className="border-l-[6px] border-attention bg-wash px-4 py-3">
          Not yet: {open.map((end) => END_WORDS[end.end].open).join(", ")}. Go back and put it right
          first, or say why the power stays off.
        </p>
      )}
      <StepHelp step={current} unit={unit} slot={slot} dateToday={dateToday} />
      {current.records === "look" && (
        <GradeChoice
          label="The nearest picture"
          name="grade"
          options={GRADE_OPTIONS}
          defaultValue={grade ?? undefined}
          onChoose={setGrade}
        />
      )}
    </div>
  );
}

function Finish({
  state,
  heading,
}: {
  state: RunState;
  heading: React.RefObject<HTMLHeadingElement | null>;
}) {
  const left = state.settled.filter((settled) => settled.leftOpen !== undefined);
  return (
    <div className="flex flex-col gap-4 text-[1.375rem] leading-snug">
      <h2 ref={heading} tabIndex={-1} className="text-[1.875rem] outline-none wide:text-[2.25rem]">
        {left.length === 0 ? "Everything is back as it was" : "Something stays open"}
      </h2>
      {left.length === 0 ? (
        <p>Nothing is left off, open or out. Finish, and the new filter counts from today.</p>
      ) : (
        <>
          <ul className="flex flex-col gap-2">
            {left.map(({ step, leftOpen }) => (
              <li key={step.id} className="border-l-[6px] border-attention bg-wash px-4 py-3">
                Not done: {step.title.charAt(0).toLowerCase() + step.title.slice(1)}. “{leftOpen}”
              </li>
            ))}
          </ul>
          <p>It stays on every page until it is put right.</p>
        </>
      )}
    </div>
  );
}
