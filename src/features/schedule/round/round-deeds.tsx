"use client";

import { Link } from "@/ui/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { inSentence, listWords } from "@/core/quantities/words";
import { Button, LinkButton } from "@/ui/button";
import { TextArea } from "@/ui/field";
import { announce, endRound, startRound, type Answered } from "../year/year-actions";
import type { RoundSheet } from "./round-queries";

type Deeds = Pick<
  RoundSheet,
  "homeId" | "day" | "order" | "next" | "left" | "isUnplanned" | "isVisit"
> & {
  person: string;
  roundId: string | null;
  isBegun: boolean;
  isAnnounced: boolean;
};

/** Starts a round and leads on through it: the job that is going on, else the next one. */
export function RoundDeeds({
  homeId,
  day,
  person,
  order,
  next,
  left,
  roundId,
  isBegun,
  isAnnounced,
  isUnplanned,
  isVisit,
}: Deeds) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  /** The machines that are off still, once somebody wants to end it. */
  const [stillOff, setStillOff] = useState<string[]>([]);
  const tell = async (asked: Promise<Answered>): Promise<boolean> => {
    setBusy(true);
    const answer = await asked.catch(() => null);
    setBusy(false);
    if (answer?.kind === "still-off") {
      setTrouble(null);
      setStillOff(answer.units);
      return false;
    }
    setStillOff([]);
    setTrouble(
      answer === null
        ? "The app could not be reached; nothing was changed. Try again."
        : answer.kind === "done"
          ? null
          : "That could not be done as things stand now. It is shown anew.",
    );
    if (answer) router.refresh();
    return answer?.kind === "done";
  };
  if (isUnplanned) return null;
  const jobPath = next && pathOf(homeId, next);
  return (
    <>
      {trouble && (
        <p role="alert" className="basis-full text-attention-text">
          {trouble}
        </p>
      )}
      {!isBegun && !isVisit && (
        <Button
          weight="strong"
          pending={busy}
          onClick={() =>
            void tell(startRound(homeId, { person, day, order })).then(
              (isDone) => isDone && jobPath && router.push(jobPath),
            )
          }
        >
          Start the round
        </Button>
      )}
      {isBegun && next && jobPath && (
        <LinkButton weight="strong" href={jobPath}>
          {next.state === "going" ? "Carry on" : "Next"}: {inSentence(next.name)}
        </LinkButton>
      )}
      {isBegun && roundId && (
        <Button pending={busy} onClick={() => void tell(endRound(homeId, { id: roundId }))}>
          {left === 0 ? "All done: close the round" : "End the round here"}
        </Button>
      )}
      {isBegun && roundId && stillOff.length > 0 && (
        <StillOff
          homeId={homeId}
          units={stillOff}
          busy={busy}
          onSay={(words) => void tell(endRound(homeId, { id: roundId, words }))}
        />
      )}
      {!isBegun && (
        <Button
          pending={busy}
          aria-pressed={isAnnounced}
          onClick={() => void tell(announce(homeId, { person, day, isAnnounced: !isAnnounced }))}
        >
          {isAnnounced ? "It is not agreed any more" : "It is agreed: keep this round"}
        </Button>
      )}
      {isVisit && (
        <Link
          href={`/homes/${homeId}/year/technician`}
          className="flex min-h-11 items-center text-link"
        >
          Ask for a day
        </Link>
      )}
    </>
  );
}

const FEWEST_LETTERS = 3;

/** A machine is off still for a job that will not come: it is put on first, or stays off for a reason. */
function StillOff({
  homeId,
  units,
  busy,
  onSay,
}: {
  homeId: string;
  units: readonly string[];
  busy: boolean;
  onSay: (words: string) => void;
}) {
  const [error, setError] = useState<string>();
  return (
    <form
      role="alert"
      className="basis-full border-l-[6px] border-attention bg-wash px-4 py-3"
      onSubmit={(event) => {
        event.preventDefault();
        const words = String(new FormData(event.currentTarget).get("words") ?? "").trim();
        if (words.length < FEWEST_LETTERS) setError("Say in a few words why it stays off.");
        else onSay(words);
      }}
    >
      <p className="text-lg font-semibold">
        Still off: {listWords(units)}. Left so for a job that is not done.
      </p>
      <p className="mb-3">
        <Link
          href={`/homes/${homeId}#left-open`}
          className="text-link underline underline-offset-4"
        >
          Put it on first
        </Link>
        , or say why it stays off: then it stands on every page until somebody puts it on.
      </p>
      <TextArea label="It stays off, because" name="words" rows={2} maxLength={300} error={error} />
      <Button type="submit" pending={busy} className="mt-3">
        Leave it off, end the round
      </Button>
    </form>
  );
}

const pathOf = (homeId: string, { id, run, isLed }: NonNullable<RoundSheet["next"]>): string =>
  run
    ? `/runs/${run}`
    : `/homes/${homeId}/jobs/${encodeURIComponent(id)}/${isLed ? "start" : "done"}`;
