import dynamic from "next/dynamic";
import { END_WORDS } from "@/content/words";
import type { EndEntry } from "@/core/runs/loose-ends";
import { againKey, blocksOf, endWordsOf } from "@/core/runs/run";
import { inSentence, listWords } from "@/core/quantities/words";
import { onAgain } from "../way/there-and-back";
import type { RunJob, RunRefusal, RunState } from "@/core/runs/run-state";
import type { Step } from "@/core/runs/procedure";
import { dryingOf, leftWords } from "../times/run-times";
import type { ReadSeen, Typed } from "./seen";
import { CallBack } from "../times/call-back";
import { LicensedBlock } from "./licensed-block";
import type { RunWith } from "../guide/run-with";
import { withIdentity, type Identity } from "@/core/inventory/identity";
import { Recall } from "./recall";
import { StepHelp } from "./step-help";

const StepRecord = dynamic(() => import("./step-record"));
const PlateCard = dynamic(() => import("./plate-card"), { ssr: false });

const WARNING = "border-l-[6px] border-attention bg-wash px-4 py-3";

/** The step at hand: its caution, what to do, what helps, what to record. */
export function StepBody({
  current,
  state,
  job,
  known,
  runId,
  heldUp,
  beside,
  offWords,
  heading,
  at,
  tried,
  read,
  typed,
  setTyped,
  photos,
  onPlate,
}: {
  current: Step;
  state: RunState;
  job: RunJob;
  known: RunWith;
  runId: string;
  heldUp: RunRefusal | null;
  beside: readonly EndEntry[];
  /** Why it stays off, where nobody may bring it back. */
  offWords: string | undefined;
  heading: React.RefObject<HTMLHeadingElement | null>;
  at: number | null;
  tried: boolean;
  read: ReadSeen;
  typed: Typed;
  setTyped: (typed: Typed) => void;
  photos: RunState["photos"];
  onPlate: (read: RunState["plates"][number]) => void;
}) {
  const { aborted, completed, steps, round } = state;
  const drying = heldUp === "still-drying" ? dryingOf(state, job.place) : null;
  return (
    <div className="flex flex-col gap-4 text-[1.375rem] leading-snug">
      {aborted ? (
        <p className={WARNING}>
          <strong>On the way back.</strong> {aborted.words}: put everything back as it was.
          {!state.completed.some(({ step }) => step.renews) && " Nothing counts as done."}
          {state.keptOff && " What feeds it stays off."}
        </p>
      ) : (
        <p className="figures text-[1.125rem] text-second">
          Step {completed.length + 1} of {steps.length}
          {round > 0 && `, round ${round + 1}`}
        </p>
      )}
      {onAgain(state).length > 0 && (
        <p role="alert" className={WARNING}>
          <strong>It was on again.</strong> You went back: put the {listWords(onAgain(state))} back
          as it was at this step before you touch anything.
        </p>
      )}
      {current.caution && (
        <p className={WARNING}>
          <strong>Take care.</strong> {current.caution}
        </p>
      )}
      <h2 ref={heading} tabIndex={-1} className="text-[1.875rem] outline-none wide:text-[2.25rem]">
        {heldUp === "kept-off"
          ? "It stays off: leave it so"
          : current.leavesTo !== undefined && !aborted
            ? `Leave it off for “${inSentence(current.leavesTo)}”`
            : current.title}
      </h2>
      {current.leavesTo !== undefined && !aborted && (
        <p className="max-w-[34rem]">
          Another job of this round at the same machine needs it off as well. It stands as left open
          until that one puts it back; nothing runs meanwhile.
        </p>
      )}
      {heldUp === "kept-off" && (
        <p className="max-w-[34rem]">
          {offWords} It stands on every page as left off, until somebody has seen to it.
        </p>
      )}
      {current.detail && heldUp !== "kept-off" && (current.leavesTo === undefined || aborted) && (
        <p className="max-w-[34rem]">{current.detail}</p>
      )}
      {current.why && <p className="max-w-[34rem] text-second">{current.why}</p>}
      <HeldUp {...{ current, state, job, heldUp, at, beside }} />
      {drying && (
        <CallBack
          runId={runId}
          drying={drying}
          left={at === null ? "" : leftWords(drying.readyAt, at)}
        />
      )}
      {heldUp === "licensed-only" && (
        <LicensedBlock contacts={known.contacts} rules={known.rules} />
      )}
      <StepHelp step={current} known={known} photos={photos} />
      <Recall step={current} completed={completed} photos={photos} />
      <div id="step-record">
        {current.records && (
          <StepRecord
            step={current}
            typed={typed}
            setTyped={setTyped}
            read={read}
            tried={tried}
            places={known.places}
            system={known.system}
            slot={known.slot}
            settings={known.settings}
            procedureId={job.procedure.id}
            ratedBefore={known.ratedBefore}
            works={known.works}
            ticks={known.ticks}
            seenAt={known.seenAt}
          />
        )}
      </div>
      {current.plate && !aborted && (
        <PlateCard
          of={current.plate === "unit" ? "unit" : { part: known.kindOfPart }}
          known={identityNow(
            current.plateIsNew ? {} : known.identity[current.plate],
            state,
            current.plate,
          )}
          isNew={current.plateIsNew}
          onKeep={(identity) => onPlate({ of: current.plate!, identity })}
        />
      )}
      {tried && read.kind === "nothing" && !current.recordIsOptional && (
        <p role="alert" className={WARNING}>
          Say what you see first: it is kept for the next time.
        </p>
      )}
    </div>
  );
}

/** What is known of a plate: from before, and from this run so far. */
const identityNow = (before: Identity, { plates }: RunState, of: "unit" | "part"): Identity =>
  plates
    .filter((plate) => plate.of === of)
    .reduce<Identity>((all, { identity }) => withIdentity(all, identity), before);

const COMES_LAST: Partial<Record<RunRefusal, string>> = {
  "power-comes-last": "Power comes last.",
  "gas-comes-last": "Gas comes after it.",
  "water-comes-last": "Water comes after it.",
  "after-another": "Another comes first.",
};

/** Why the step cannot be done yet, where that is not for its drying or its licence. */
function HeldUp({
  current,
  state,
  job,
  heldUp,
  at,
  beside,
}: {
  current: Step;
  state: RunState;
  job: RunJob;
  heldUp: RunRefusal | null;
  at: number | null;
  beside: readonly EndEntry[];
}) {
  if (heldUp === "still-waiting") {
    const timer = state.timers.findLast(
      ({ key }) => current.waitsFor?.includes(key) || key === againKey(current.id),
    );
    return (
      <p
        data-testid="wait"
        className="figures border-y-2 border-ink py-4 text-[2rem] font-semibold"
      >
        {timer && at !== null ? leftWords(timer.readyAt, at) : "…"}
      </p>
    );
  }
  const comesLast = heldUp ? COMES_LAST[heldUp] : undefined;
  if (!comesLast) return null;
  const now = new Date(at ?? 0).toISOString();
  const by = blocksOf(job, state, current, now, beside).flatMap((block) => block.by);
  const here = state.ends.open.filter((end) => by.includes(end.id));
  const elsewhere = beside.filter((end) => by.includes(end.id));
  const named = [
    ...here.map(({ id, end }) => endWordsOf(state, job.place, id) ?? END_WORDS[end].open),
    ...elsewhere.map(({ end }) => `${END_WORDS[end].open} (another job at this machine)`),
  ];
  return (
    <p role="alert" className={WARNING}>
      Not yet: {named.join(", ")}. {comesLast} Put that right first, or say why this stays as it is.
    </p>
  );
}
