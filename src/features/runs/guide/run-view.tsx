"use client";

import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { holdsUp } from "@/core/runs/run";
import type { PhotoMoment } from "@/core/runs/run-event";
import type { RunState } from "@/core/runs/run-state";
import { goOnWords, leftFor, placesOf } from "./go-on";
import { timesOf } from "../times/run-times";
import type { RunWith } from "./run-with";
import { readSeen, type Typed } from "../step/seen";
import { staysPress, thereAndBack } from "../way/there-and-back";
import { SafetyStopScreen } from "../safety/safety-stop-screen";
import { PicturePress } from "@/ui/picture";
import { newId } from "@/run-client/new-id";
import { spokenOf, useReadAloud } from "./read-aloud";
import type { Asking } from "./run-asks";
import { RunFoot } from "./run-foot";
import { RunHead } from "./run-head";
import { StepBody } from "../step/step-body";
import { TimeStrip, useSeconds } from "../times/time-strip";
import { WayRail } from "../way/way-rail";
import { useRun, type RunInput } from "@/run-client/use-run";
import { PhotoStrip, RunAsks, useLaterParts } from "./later-parts";
import { FinishForm } from "../finish/finish-form";
import { useRunKeys, type RunKey } from "./use-run-keys";
import { useWakeLock } from "./use-wake-lock";

/** One step a screen, what is open beside it, and the thumb's two buttons at the foot. */
export function RunView({ input, known }: { input: RunInput; known: RunWith }) {
  const router = useRouter();
  const { job } = input;
  const { state, trouble, refused, putAway, isSaved, now, act } = useRun(input);
  useLaterParts();
  const at = useSeconds(now);
  const [filled, setFilled] = useState<{ at: string; typed: Typed }>({ at: "", typed: {} });
  const [triedAt, setTriedAt] = useState("");
  const [asking, setAsking] = useState<Asking | null>(null);
  const [isEmergency, setEmergency] = useState(false);
  const [removed, setRemoved] = useState(() =>
    input.events.flatMap((event) =>
      event.kind === "photo" && !known.photos.includes(event.photo) ? [event.photo] : [],
    ),
  );
  const heading = useRef<HTMLHeadingElement>(null);
  const finish = useRef<HTMLFormElement>(null);
  const camera = useRef<HTMLInputElement>(null);
  useWakeLock();

  const { current, safetyStop } = state;
  const here = `${current?.id ?? "finish"} ${state.round}`;
  const typed = filled.at === here ? filled.typed : {};
  const read = current
    ? readSeen(current, typed, known.system, known.school, known.slot ?? {})
    : null;
  const instant = new Date(at ?? Date.parse(input.serverNow)).toISOString();
  const heldUp = current
    ? holdsUp(job, state, current, instant, input.beside, input.stopped)
    : null;
  // Once the job counts there is nothing left to defer: what is open only has to be closed.
  const isCounted = state.completed.some(({ step }) => step.renews);
  const isOver = state.status !== "going";
  const way = thereAndBack(state);
  const moment = momentOf(state, way.leg);
  const stepId = current?.id ?? "finish";
  const photos = state.photos.filter(({ photo }) => !removed.includes(photo));
  const aloud = useReadAloud(current && !safetyStop ? spokenOf(current) : null);

  // A finished run is the server's to show, once it has heard of the finish: asked before, it would
  // answer with the run still going, and nobody would ask again.
  useEffect(() => {
    if (isOver && isSaved && !trouble) router.refresh();
  }, [isOver, isSaved, trouble, router]);

  // Focus is the browser's: it follows the step, so that a reader reads it out, from its top.
  useEffect(() => {
    heading.current?.focus({ preventScroll: true });
    window.scrollTo({ top: 0 });
  }, [here, safetyStop]);

  // On the way back everything is put back: nothing stays off for a job that may not follow.
  const leaves = state.aborted ? undefined : current?.leavesTo;
  const isMissing = read?.kind === "nothing" && !current?.recordIsOptional;
  const goOn = () => {
    if (isOver || safetyStop) return;
    if (!current) return finish.current?.requestSubmit();
    if (heldUp === "licensed-only") return act({ kind: "handed-over", step: current.id });
    if (heldUp === "kept-off")
      return act({ kind: "leave-open", step: current.id, words: offWords(state, input) });
    if (leaves) return act({ kind: "leave-open", step: current.id, words: leftFor(leaves) });
    doStep();
  };
  const doStep = () => {
    if (!current || isOver || safetyStop) return;
    if (heldUp || !read) return;
    setTriedAt(here);
    if (isMissing || read.kind === "problem") return;
    const [first] = placesOf(current, known.places);
    const chosen = first && (typed.place ?? first.value);
    const place = chosen ? { place: chosen } : {};
    const unit = known.places.filters.find(({ value }) => value === chosen)?.unit;
    const seen = read.kind === "seen" ? { ...place, ...(unit ? { unit } : {}), ...read.seen } : {};
    act({ kind: "done", step: current.id, round: state.round, ...seen });
  };
  const goBack = () => {
    if (state.undoes !== null && !isOver) act({ kind: "back", step: state.undoes });
  };
  const press: Record<RunKey, () => void> = {
    goOn,
    back: goBack,
    staysOpen: () => current?.closes && !safetyStop && setAsking("stays-open"),
    measure: () =>
      document.querySelector<HTMLElement>("#step-record input, #step-record select")?.focus(),
    photo: () => camera.current?.click(),
    note: () => setAsking("note"),
    emergency: () => setEmergency(true),
  };
  useRunKeys(asking !== null || isEmergency, (key) => press[key]());

  return (
    <main className="mx-auto flex min-h-dvh max-w-5xl flex-col bg-ground">
      <RunHead
        known={known}
        open={state.ends.open.length}
        emergency={{ isOpen: isEmergency, setOpen: setEmergency }}
        onAlarm={(alarm) => act({ kind: "alarm", alarm })}
      />
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
          {refused.map(({ id, words }) => (
            <div
              key={id}
              role="alert"
              className="flex flex-wrap items-center gap-3 border-l-[6px] border-attention bg-wash px-3 py-2 text-lg"
            >
              <p className="grow">{words}</p>
              <button type="button" className="min-h-11 text-link" onClick={() => putAway(id)}>
                Put away
              </button>
            </div>
          ))}
          {safetyStop ? (
            <SafetyStopScreen
              safetyStop={safetyStop}
              heading={heading}
              contacts={known.contacts}
              rules={known.rules}
              onSafe={(words) => act({ kind: "made-safe", words })}
              onKeepOff={(words) => act({ kind: "kept-off", words })}
              onWrong={goBack}
            />
          ) : current && read ? (
            <StepBody
              key={here}
              {...{ current, state, job, known, heldUp, heading, at, read, typed, photos }}
              runId={input.runId}
              beside={input.beside}
              offWords={heldUp === "kept-off" ? offWords(state, input) : undefined}
              tried={triedAt === here}
              setTyped={(next) => setFilled({ at: here, typed: next })}
              onPlate={(plate) => act({ kind: "plate", step: current.id, ...plate })}
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
          {!safetyStop && photos.length > 0 && (
            <PhotoStrip
              homeId={known.homeId}
              photos={photos}
              onRemove={(id) => setRemoved((all) => [...all, id])}
              onRestore={(id) => setRemoved((all) => all.filter((each) => each !== id))}
            />
          )}
        </div>
      </div>
      {asking && <RunAsks {...{ asking, state, known, act }} onClose={() => setAsking(null)} />}
      <RunFoot
        goOnWords={goOnWords(state, heldUp, read, typed)}
        canGoOn={
          !safetyStop &&
          !isOver &&
          (heldUp === null ||
            heldUp === "licensed-only" ||
            heldUp === "kept-off" ||
            leaves !== undefined) &&
          !isMissing
        }
        onGoOn={goOn}
        canGoBack={state.undoes !== null && !isOver}
        onBack={goBack}
      >
        <PicturePress
          ref={camera}
          to={`/api/v1/runs/${input.runId}/photos`}
          about={{ step: stepId, moment }}
          newId={newId}
          onTaken={(photo) => act({ kind: "photo", step: stepId, photo, moment })}
        />
        <FootPress onPress={press.note}>Note</FootPress>
        {aloud.can && (
          <FootPress onPress={aloud.toggle} isOn={aloud.isOn}>
            {aloud.isOn ? "Stop reading" : "Read aloud"}
          </FootPress>
        )}
        {leaves !== undefined && heldUp === null && !safetyStop && (
          <FootPress onPress={doStep}>Back on all the same</FootPress>
        )}
        {current?.closes && leaves === undefined && !safetyStop && (
          <FootPress onPress={press.staysOpen}>{staysPress(state)}</FootPress>
        )}
        {current && !state.aborted && !safetyStop && !isCounted && (
          <FootPress onPress={() => setAsking("not-possible")}>Not possible now</FootPress>
        )}
      </RunFoot>
    </main>
  );
}

/** Why it stays off: what was seen in this job, or the stop that stands at its machine. */
const offWords = ({ keptOff }: RunState, { stopped }: RunInput): string =>
  keptOff?.words ?? `${stopped}. Off until a licensed person has looked.`;

/** A picture shows what was, until something was cleaned, mended or put back: from then on what is. */
function momentOf(state: RunState, leg: ReturnType<typeof thereAndBack>["leg"]): PhotoMoment {
  if (state.current?.photo) return state.current.photo;
  const isWorkedOn = state.completed.some(
    ({ step }) => step.cleans !== undefined || step.kind === "fit" || step.renews,
  );
  return isWorkedOn || leg === "up" || leg === "over" ? "after" : "before";
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
