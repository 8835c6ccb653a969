"use client";

import { X } from "lucide-react";
import { Link } from "@/ui/link";
import { Dialog } from "radix-ui";
import { useEffect, useState } from "react";
import type { PlainDate } from "@/core/quantities/plain-date";
import { dateWords } from "@/core/quantities/words";
import { minutesWords, priceWords, whyWords, type NameOf } from "@/presentation/plan-words";
import { Button, LinkButton } from "@/ui/button";
import { announce, pin, type Answered } from "./year-actions";
import type { Planner } from "./use-planner";
import { offeredDays, roundDays, type Chosen } from "./year-drag";
import type { ShownPlan, YearPage } from "./year-queries";

type Offer = { to: PlainDate; words: string; minutes: string };

/** Why something is on its day, and where else it could be at which price: no drag is ever needed. */
export function OccurrencePanel({
  page,
  shown,
  chosen,
  planner,
  nameOf,
  busy,
  trouble,
  onClose,
  onClosed,
  onMove,
  onPinned,
}: {
  page: YearPage;
  shown: ShownPlan;
  chosen: Chosen;
  planner: Planner;
  nameOf: NameOf;
  busy: boolean;
  trouble: string | null;
  onClose: () => void;
  /** It has gone: the focus goes back to what it was about. */
  onClosed: () => void;
  onMove: (to: PlainDate) => void;
  onPinned: (asked: Promise<Answered>) => void;
}) {
  const { homeId, today } = page;
  const { of, person, day, due, isRound, title } = chosen;
  const [offers, setOffers] = useState<Offer[] | "unreached" | null>(null);
  const [why, setWhy] = useState<string[] | null>(null);
  const jobs = shown.lanes.flatMap((lane) =>
    lane.jobs.filter(({ id }) => of.some(({ task }) => task === id)),
  );
  const only = jobs.length === 1 ? jobs[0] : undefined;
  const isPinned = only?.marks.some((mark) => mark.day === day && mark.isPinned) ?? false;
  const isAnnounced =
    shown.rounds.find((each) => each.person === person && each.day === day)?.isAnnounced ?? false;

  // The worker answers when it can; what comes after the panel has closed is let go.
  useEffect(() => {
    if (of.length === 0) return;
    let isGone = false;
    const days = offeredDays(page, roundDays(shown, person), day, due);
    planner.prices(of, days).then(
      (prices) => {
        if (isGone) return;
        setOffers(
          prices.map((price, i) => ({
            to: days[i]!,
            words: priceWords(price, nameOf),
            minutes: minutesWords(price),
          })),
        );
      },
      () => !isGone && setOffers("unreached"),
    );
    if (of.length === 1)
      void planner.why(of[0]!).then((found) => {
        if (!isGone && found) setWhy(whyWords(found, today));
      });
    return () => {
      isGone = true;
    };
    // It is asked once for what was chosen: the panel is drawn anew for anything else.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);

  return (
    <Dialog.Root open onOpenChange={(isOpen) => !isOpen && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-slate/30" />
        <Dialog.Content
          aria-describedby={undefined}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            onClosed();
          }}
          className="fixed inset-x-0 bottom-0 z-50 max-h-[85dvh] overflow-y-auto border-t-8 border-ink bg-surface px-5 pt-4 pb-6 wide:inset-y-0 wide:right-0 wide:left-auto wide:max-h-none wide:w-[27rem] wide:border-t-0 wide:border-l-8"
        >
          <div className="flex items-start justify-between gap-3">
            <Dialog.Title className="font-display text-xl font-bold">{title}</Dialog.Title>
            <Dialog.Close
              aria-label="Close"
              className="-mt-1.5 -mr-2 flex size-11 items-center justify-center"
            >
              <X aria-hidden="true" className="size-5" />
            </Dialog.Close>
          </div>
          {trouble && (
            <p role="alert" className="mt-2 border-l-[6px] border-attention bg-wash px-3 py-2">
              {trouble}
            </p>
          )}
          {!isRound && <p className="text-second">{dateWords(day, today)}</p>}
          {jobs.length > 1 && (
            <ul className="mt-2">
              {jobs.map((job) => (
                <li key={job.id} className="border-b border-rule py-1.5">
                  {job.title}
                </li>
              ))}
            </ul>
          )}
          {of.length === 1 && (
            <section aria-label="Why here">
              <h3 className="mt-4 font-sans font-semibold">Why here?</h3>
              {why ? (
                <ul className="mt-1 flex flex-col gap-1">
                  {why.map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </ul>
              ) : (
                <p className="mt-1 text-second">Looking at the other days …</p>
              )}
            </section>
          )}
          {of.length === 0 && (
            <p className="mt-3">
              What was left to dry is put back on this day: it follows from the day it was taken
              out.
            </p>
          )}
          {of.length > 0 && (
            <section aria-label="Move to">
              <h3 className="mt-4 font-sans font-semibold">
                {isRound ? "Move the whole round to" : "Move it to"}
              </h3>
              {offers === null && <p className="mt-1 text-second">Working out the prices …</p>}
              {offers === "unreached" && (
                <p role="alert" className="mt-1 text-attention-text">
                  The app could not be reached. Close this and try again.
                </p>
              )}
              {Array.isArray(offers) && (
                <ul className="mt-1">
                  {offers.map(({ to, words, minutes }) => (
                    <li key={to} className="border-b border-rule">
                      <button
                        type="button"
                        aria-disabled={busy || undefined}
                        onClick={() => onMove(to)}
                        className="grid min-h-12 w-full grid-cols-[6.5rem_minmax(0,1fr)] gap-x-3 py-2 text-left"
                      >
                        <span className="text-link">{dateWords(to, today)}</span>
                        <span>
                          {words}
                          <span className="figures block text-second">{minutes}</span>
                        </span>
                      </button>
                    </li>
                  ))}
                </ul>
              )}
            </section>
          )}
          <div className="mt-5 flex flex-wrap gap-3">
            {only && !isRound && (
              <Button
                pending={busy}
                aria-pressed={isPinned}
                onClick={() => onPinned(pin(homeId, { task: only.id, day, isPinned: !isPinned }))}
              >
                {isPinned ? "Let go of the pin" : "Pin it here"}
              </Button>
            )}
            {isRound && (
              <Button
                pending={busy}
                aria-pressed={isAnnounced}
                onClick={() =>
                  onPinned(announce(homeId, { person, day, isAnnounced: !isAnnounced }))
                }
              >
                {isAnnounced ? "It is not agreed any more" : "It is agreed: keep this round"}
              </Button>
            )}
            <LinkButton href={`/homes/${homeId}/year/${day}/${person}`}>
              The round’s sheet
            </LinkButton>
            {only && (
              <Link
                href={`/homes/${homeId}/jobs/${encodeURIComponent(only.id)}`}
                className="flex min-h-11 items-center text-link"
              >
                The job
              </Link>
            )}
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
