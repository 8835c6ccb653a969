"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { useEffect, useEffectEvent, useRef, useState, type ReactNode } from "react";
import { tinykeys } from "tinykeys";
import { GRADE_OPTIONS } from "@/content/grade-options";
import { SEEN_WORDS } from "@/content/reading-words";
import type { Step } from "@/core/procedures/procedure";
import { holdsUp } from "@/core/procedures/run";
import type { PhotoMoment } from "@/core/procedures/run-event";
import { Bracket } from "@/ui/bracket";
import { timesOf } from "../run-times";
import type { RunWith } from "../run-with";
import { readSeen, type Typed } from "../seen";
import { staysWords, thereAndBack } from "../there-and-back";
import { FinishForm } from "./finish-form";
import { GasPress } from "./gas-press";
import { HoldScreen } from "./hold-screen";
import { NotPossibleDialog } from "./not-possible";
import { PhotoPress, PhotoStrip } from "./photos";
import { spokenOf, useReadAloud } from "./read-aloud";
import { RunFoot } from "./run-foot";
import { SayDialog } from "./say-dialog";
import { StepBody } from "./step-body";
import type { Places } from "./step-record";
import { TimeStrip, useSeconds } from "./time-strip";
import { WayRail } from "./way-rail";
import { useRun, type RunInput } from "./use-run";
import { useWakeLock } from "./use-wake-lock";

/** Space chooses a swatch that is not chosen yet, and presses what it stands on. */
const needsSpace = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.closest("a, button, summary, select") !== null ||
    (target instanceof HTMLInputElement &&
      (target.type === "checkbox" || (target.type === "radio" && !target.checked))));

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  target.closest("input:not([type=radio], [type=checkbox]), textarea") !== null;

type Asking = "stays-open" | "not-possible" | "note" | null;

/** One step a screen, what is open beside it, and the thumb's two buttons at the foot. */
export function RunView({
  input,
  known,
  shutOff,
}: {
  input: RunInput;
  known: RunWith;
  /** The press that tells how to shut the machine off. */
  shutOff: ReactNode;
}) {
  const router = useRouter();
  const { job } = input;
  const { state, trouble, isSaved, now, act } = useRun(input);
  const at = useSeconds(now);
  const [typed, setTyped] = useState<{ at: string; typed: Typed }>({ at: "", typed: {} });
  const [tried, setTried] = useState(false);
  const [asking, setAsking] = useState<Asking>(null);
  const [removed, setRemoved] = useState(() =>
    input.events.flatMap((event) =>
      event.kind === "photo" && !known.photos.includes(event.photo) ? [event.photo] : [],
    ),
  );
  const heading = useRef<HTMLHeadingElement>(null);
  const finish = useRef<HTMLFormElement>(null);
  const camera = useRef<HTMLInputElement>(null);
  useWakeLock();

  const { current, hold } = state;
  const here = `${current?.id ?? "finish"} ${state.round}`;
  const mine = typed.at === here ? typed.typed : {};
  const keep = (next: Typed) => setTyped({ at: here, typed: next });
  const read = current ? readSeen(current, mine, known.system) : null;
  const instant = new Date(at ?? Date.parse(input.serverNow)).toISOString();
  const heldUp = current ? holdsUp(job, state, current, instant) : null;
  // Once the job counts there is nothing left to put off: what is open only has to be closed.
  const isCounted = state.settled.some(({ step }) => step.renews);
  const isOver = state.status !== "going";
  const way = thereAndBack(state);
  const moment: PhotoMoment =
    current?.photo ?? (way.leg === "up" || way.leg === "over" ? "after" : "before");
  const aloud = useReadAloud(current && !hold ? spokenOf(current) : null);

  // A finished run is the server's to show, once it has heard of the finish: asked before, it would
  // answer with the run still going, and nobody would ask again.
  useEffect(() => {
    if (isOver && isSaved && !trouble) router.refresh();
  }, [isOver, isSaved, trouble, router]);

  // Focus is the browser's: it follows the step, so that a reader reads it out.
  useEffect(() => heading.current?.focus(), [here, hold]);

  const isOptional = current?.recordIsOptional === true;
  const isMissing = read?.kind === "nothing" && !isOptional;
  const goOn = () => {
    if (isOver || hold) return;
    if (!current) return finish.current?.requestSubmit();
    if (heldUp === "licensed-only") return act({ kind: "handed-over", step: current.id });
    if (heldUp || !read) return;
    setTried(true);
    if (isMissing || read.kind === "problem") return;
    setTried(false);
    const places = placesOf(current, known.places);
    const first = places[0] && read.kind === "seen" ? { place: mine.place ?? places[0].value } : {};
    const seen = read.kind === "seen" ? { ...first, ...read.seen } : {};
    act({ kind: "done", step: current.id, round: state.round, ...seen });
  };
  const goBack = () => {
    if (state.undoes !== null && !isOver) act({ kind: "back", step: state.undoes });
  };

  const onKey = useEffectEvent((event: KeyboardEvent, doIt: () => void) => {
    if (asking || isTyping(event.target)) return;
    event.preventDefault();
    doIt();
  });
  const goBackNow = useEffectEvent(goBack);
  const onSpace = useEffectEvent((event: KeyboardEvent) => {
    if (!needsSpace(event.target)) onKey(event, goOn);
  });
  const onStaysOpen = useEffectEvent((event: KeyboardEvent) =>
    onKey(event, () => current?.closes && !hold && setAsking("stays-open")),
  );
  const onMeasure = useEffectEvent((event: KeyboardEvent) =>
    onKey(event, () =>
      document.querySelector<HTMLElement>("#step-record input, #step-record select")?.focus(),
    ),
  );
  // Keys belong to the window, which React does not own.
  useEffect(
    () =>
      tinykeys(window, {
        Space: (event) => onSpace(event),
        Backspace: (event) => onKey(event, goBackNow),
        o: (event) => onStaysOpen(event),
        m: (event) => onMeasure(event),
        p: (event) => onKey(event, () => camera.current?.click()),
        n: (event) => onKey(event, () => setAsking("note")),
      }),
    [],
  );
  const open = state.ends.open.length;
  const photos = state.photos.filter(({ photo }) => !removed.includes(photo));
  return (
    <main className="mx-auto flex min-h-dvh max-w-5xl flex-col bg-ground">
      <header className="sticky top-0 z-20 border-b-[5px] border-ink bg-ground">
        <div className="flex min-h-14 items-center justify-between gap-x-3 pr-4 pl-1">
          <Link
            href={`/homes/${known.homeId}`}
            aria-label="Leave for now"
            title="Leave for now: it goes on from here"
            className="flex size-12 shrink-0 items-center justify-center text-link no-underline"
          >
            <svg aria-hidden="true" viewBox="0 0 24 24" className="size-7">
              <path
                d="M11 5 L4 12 L11 19 M4 12 H20"
                fill="none"
                className="stroke-current"
                strokeWidth="2.5"
              />
            </svg>
          </Link>
          <h1 className="text-lg leading-tight">{known.title}</h1>
          <p
            className="figures ml-auto flex shrink-0 items-center gap-1.5 text-right text-[1.0625rem] leading-tight"
            data-open={open}
          >
            {open === 0 ? (
              <span className="hidden wide:inline">nothing open</span>
            ) : (
              <>
                <Bracket height={22} />
                {open}
                <span className="sr-only wide:not-sr-only"> left open</span>
              </>
            )}
          </p>
          {known.hasGas && !hold && <GasPress onAlarm={(alarm) => act({ kind: "alarm", alarm })} />}
          {shutOff}
        </div>
      </header>
      <TimeStrip times={timesOf(state, job.place)} at={at} />
      <div
        data-way={way.rungs.length > 0 || undefined}
        className="grid grow grid-cols-1 data-way:grid-cols-[3.5rem_minmax(0,1fr)] wide:data-way:grid-cols-[11rem_minmax(0,1fr)]"
      >
        {way.rungs.length > 0 && (
          <div className="border-r border-rule bg-surface px-1 pt-4 wide:px-5">
            <div className="sticky top-18">
              <WayRail way={way} />
            </div>
          </div>
        )}
        <div className="flex flex-col gap-4 px-4 pt-5 pb-6 wide:px-10 wide:pt-10">
          {trouble && (
            <p role="alert" className="border-l-[6px] border-attention bg-wash px-3 py-2 text-lg">
              {trouble}
            </p>
          )}
          {hold ? (
            <HoldScreen
              hold={hold}
              heading={heading}
              contacts={known.contacts}
              rules={known.rules}
              onSafe={(words) => act({ kind: "made-safe", words })}
              onWrong={goBack}
            />
          ) : current ? (
            <StepBody
              key={here}
              {...{ current, state, job, known, heldUp, heading, at, tried }}
              runId={input.runId}
              read={read!}
              typed={mine}
              setTyped={keep}
              photos={photos}
            />
          ) : (
            <FinishForm
              key={here}
              ref={finish}
              state={state}
              heading={heading}
              start={known.finish}
              currency={known.currency}
              startedAt={known.startedAt}
              onFinish={(values) => act({ kind: "finished", ...values })}
            />
          )}
          {!hold && photos.length > 0 && (
            <PhotoStrip
              homeId={known.homeId}
              photos={photos}
              onRemove={(id) => setRemoved([...removed, id])}
              onRestore={(id) => setRemoved((all) => all.filter((each) => each !== id))}
            />
          )}
        </div>
      </div>
      {asking === "stays-open" && current && (
        <SayDialog
          title={`${sentence(staysWords(state))}: why?`}
          label="In your words, for whoever comes next"
          missing="Say in a few words why it stays open."
          submit="Leave it so"
          onClose={() => setAsking(null)}
          onSay={(words) => {
            setAsking(null);
            act({ kind: "leave-open", step: current.id, words });
          }}
        />
      )}
      {asking === "note" && (
        <SayDialog
          title="A note"
          label="Kept with this job, and shown before the next time"
          missing="Say it in a few words."
          submit="Keep it"
          onClose={() => setAsking(null)}
          onSay={(words) => {
            setAsking(null);
            act({ kind: "note", step: current?.id ?? "finish", words });
          }}
        />
      )}
      {asking === "not-possible" && current && (
        <NotPossibleDialog
          open={open}
          today={known.today}
          tryAgain={known.tryAgain}
          onClose={() => setAsking(null)}
          onTurnBack={(reason) => {
            setAsking(null);
            act({ kind: "turned-back", step: current.id, ...reason });
          }}
          onGiveUp={
            open === 0
              ? () => {
                  setAsking(null);
                  act({ kind: "stopped" });
                }
              : null
          }
        />
      )}
      <RunFoot
        goOnWords={goOnWords()}
        canGoOn={!hold && !isOver && (heldUp === null || heldUp === "licensed-only") && !isMissing}
        onGoOn={goOn}
        canGoBack={state.undoes !== null && !isOver}
        onBack={goBack}
      >
        <PhotoPress
          ref={camera}
          runId={input.runId}
          step={current?.id ?? "finish"}
          moment={moment}
          onTaken={(photo) => act({ kind: "photo", step: current?.id ?? "finish", photo, moment })}
        />
        <FootPress onPress={() => setAsking("note")}>Note</FootPress>
        {aloud.can && (
          <FootPress onPress={aloud.toggle} isOn={aloud.isOn}>
            {aloud.isOn ? "Stop reading" : "Read aloud"}
          </FootPress>
        )}
        {current?.closes && !hold && (
          <FootPress onPress={() => setAsking("stays-open")}>It stays open</FootPress>
        )}
        {current && !state.turnedBack && !hold && !isCounted && (
          <FootPress onPress={() => setAsking("not-possible")}>Not possible now</FootPress>
        )}
      </RunFoot>
    </main>
  );

  function goOnWords(): string {
    if (hold) return "Nothing goes on";
    if (!current) return state.turnedBack ? "Put it off" : "Finish";
    switch (heldUp) {
      case "licensed-only":
        return "Leave it to them";
      case "still-drying":
        return "Not before it is dry";
      case "still-waiting":
        return "Not yet";
      case "power-comes-last":
      case "after-another":
        return "Something comes first";
      default:
        break;
    }
    if (isMissing)
      return current.records?.kind === "look" ? "Choose how it looks" : "Say what you see";
    if (current.records && read?.kind === "nothing") return "Go on without";
    return seenWords(current, mine) ?? "Done, go on";
  }
}

function FootPress({
  children,
  onPress,
  isOn,
}: {
  children: string;
  onPress: () => void;
  isOn?: boolean;
}) {
  return (
    <button
      type="button"
      aria-pressed={isOn}
      onClick={onPress}
      className="min-h-12 text-[1.125rem] text-link"
    >
      {children}
    </button>
  );
}

const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** Where a step that goes through the house may have been looked at. */
function placesOf(step: Step, places: Places) {
  if (step.records?.kind === "look" && step.records.of) return places.filters;
  if (step.records?.kind !== "reading") return [];
  if (step.records.of === "any-machine") return places.machines;
  return step.records.of === "every-co-alarm" ? places.alarms : [];
}

/** “Loaded, go on”: what was chosen, on the button itself. */
function seenWords(step: Step, typed: Typed): string | null {
  const word = typed.word;
  if (!word) return null;
  const name =
    step.records?.kind === "choice"
      ? step.records.options.find(({ value }) => value === word)?.name
      : step.records?.kind === "look"
        ? GRADE_OPTIONS.find(({ value }) => value === word)?.name
        : SEEN_WORDS[word];
  return name && name.length < 22 ? `${sentence(name)}, go on` : null;
}
