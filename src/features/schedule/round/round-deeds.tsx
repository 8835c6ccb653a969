"use client";

import { Link } from "@/ui/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { inSentence } from "@/core/quantities/words";
import { Button, LinkButton } from "@/ui/button";
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
  const tell = async (asked: Promise<Answered>): Promise<boolean> => {
    setBusy(true);
    const answer = await asked.catch(() => null);
    setBusy(false);
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
        <Button pending={busy} onClick={() => void tell(endRound(homeId, roundId))}>
          {left === 0 ? "All done: close the round" : "End the round here"}
        </Button>
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

const pathOf = (homeId: string, { id, run, isLed }: NonNullable<RoundSheet["next"]>): string =>
  run
    ? `/runs/${run}`
    : `/homes/${homeId}/jobs/${encodeURIComponent(id)}/${isLed ? "start" : "done"}`;
