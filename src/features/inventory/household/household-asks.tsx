"use client";

import { Link } from "@/ui/link";
import { undoToast } from "@/ui/toasts";
import { answerNo, askAgain } from "./household-actions";

type Ask = { kind: string; words: string };

/** What was never asked, a question each; nothing is supposed before it is answered. */
export function HouseholdAsks({ homeId, asks, nos }: { homeId: string; asks: Ask[]; nos: Ask[] }) {
  const no = async ({ kind, words }: Ask) => {
    await answerNo(homeId, kind);
    undoToast(`Noted, no: ${words}`, () => askAgain(homeId, kind));
  };
  if (asks.length === 0 && nos.length === 0) return null;
  return (
    <section aria-labelledby="asks" className="mt-6">
      {asks.length > 0 && (
        <>
          <h2 id="asks" className="border-t-[3px] border-ink pt-3 text-xl">
            Not asked yet
          </h2>
          <ul className="mt-1">
            {asks.map((ask) => (
              <li
                key={ask.kind}
                className="flex flex-wrap items-center gap-x-4 border-t border-rule py-1 first:border-t-0"
              >
                <span className="min-w-0 grow basis-60">{ask.words}</span>
                <Link
                  href={`/homes/${homeId}/household?kind=${ask.kind}#add`}
                  aria-label={`Yes: ${ask.words}`}
                  className="flex min-h-11 items-center px-2 text-link"
                >
                  Yes
                </Link>
                <button
                  type="button"
                  onClick={() => void no(ask)}
                  aria-label={`No: ${ask.words}`}
                  className="min-h-11 px-2 text-link"
                >
                  No
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      {nos.length > 0 && (
        <p className="mt-3 text-second">
          Asked, and not so:{" "}
          {nos.map((ask, i) => (
            <span key={ask.kind}>
              {i > 0 && ", "}
              <button
                type="button"
                className="text-link underline underline-offset-4"
                aria-label={`Ask again: ${ask.words}`}
                onClick={() => void askAgain(homeId, ask.kind)}
              >
                {ask.words.toLowerCase()}
              </button>
            </span>
          ))}
          .
        </p>
      )}
    </section>
  );
}
