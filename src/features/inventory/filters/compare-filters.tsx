"use client";

import { scaleLinear } from "d3-scale";
import { wrap, type Remote } from "comlink";
import { useEffect, useRef, useState } from "react";
import { inEnglish } from "@/content/english";
import { MEDIA_WORDS } from "@/content/words";
import type { Media } from "@/core/filters/media";
import type { WearInput } from "@/core/filters/wear-schema";
import { moneyAbout, readMoney } from "@/core/quantities/money";
import { inSentence } from "@/core/quantities/words";
import { TableBehind } from "@/ui/table-behind";
import { useEnglish } from "@/ui/english";
import { useTypedText } from "@/ui/form";
import type { Compared, WearWorker } from "@/workers/wear-worker";
import { choiceWords } from "./compare-words";

/** Years that the picture shows, and that are compared. */
const YEARS = 3;

type Typed = { price: string; once: string };
const NOTHING: Typed = { price: "", once: "" };

/**
 * What each filter that could sit here would come to, side by side, while one chooses: changes a year, what
 * they cost, and after how long a frame has paid for itself.
 */
export function CompareFilters({
  input,
  media,
  currency,
}: {
  /** What the wear of the filter there is asked with. */
  input: WearInput;
  media: readonly Media[];
  currency: string;
}) {
  const chosen = (useTypedText("media") || input.slot.media) as Media;
  const usual = useTypedText("price");
  const [typed, setTyped] = useState<Partial<Record<Media, Typed>>>({});
  const others = media.filter((each) => each !== chosen);
  const minor = (text: string) => {
    const read = readMoney(text, currency);
    return typeof read === "number" ? read : null;
  };
  const prices = [usual, ...others.map((each) => typed[each]?.price ?? "")].map(minor);
  const asked: Asked = {
    wear: input,
    years: YEARS,
    options: [chosen, ...others].map((each, i) => ({
      name: each,
      price: prices[i] ?? 0,
      conversionCost: minor(typed[each]?.once ?? "") ?? 0,
    })),
  };
  const found = useCompared(asked);
  const english = useEnglish();
  const named = (each: Media) => inEnglish(english, MEDIA_WORDS[each]);
  const type = (each: Media, change: Partial<Typed>) =>
    setTyped((before) => ({ ...before, [each]: { ...NOTHING, ...before[each], ...change } }));

  return (
    <details className="border-y border-rule">
      <summary className="flex min-h-11 cursor-pointer items-center text-link underline underline-offset-4">
        Set the filters that could sit here side by side
      </summary>
      <p className="text-second">
        At the pace things load here. Give what each costs, and what a deeper frame for it would, to
        see what pays.
      </p>
      {found === null ? (
        <p role="status" className="py-3 text-second">
          Working it out …
        </p>
      ) : (
        <>
          <ul className="mt-2 flex flex-col gap-3 pb-2">
            {found.rows.map((row, i) => {
              const each = row.name as Media;
              const isFirst = i === 0;
              return (
                <li key={each} className="border-t border-rule pt-2">
                  <div className="flex flex-wrap items-baseline justify-between gap-x-4">
                    <strong>{named(each)}</strong>
                    {isFirst && <span className="text-second">as chosen</span>}
                  </div>
                  <Race days={found.days[i]!} from={found.from} years={YEARS} />
                  <p className="figures">
                    {choiceWords(row, isFirst ? null : found.rows[0]!, {
                      isPriced: prices[i] !== null && prices[0] !== null,
                      hasFrame: (minor(typed[each]?.once ?? "") ?? 0) > 0,
                      costWords:
                        prices[i] === null
                          ? null
                          : moneyAbout({ minor: Math.round(row.costPerYear), currency }),
                    })}
                  </p>
                  {!isFirst && (
                    <div className="mt-1 grid grid-cols-2 gap-3">
                      <Figure
                        label={`One costs, ${currency}`}
                        of={each}
                        value={typed[each]?.price ?? ""}
                        onType={(price) => type(each, { price })}
                      />
                      <Figure
                        label={`Frame for it, once, ${currency}`}
                        of={each}
                        value={typed[each]?.once ?? ""}
                        onType={(once) => type(each, { once })}
                      />
                    </div>
                  )}
                </li>
              );
            })}
          </ul>
          <TableBehind heads={["Filter", "Changes a year", "Cost a year", "Minutes a year"]}>
            {found.rows.map((row, i) => (
              <tr key={row.name} className="border-b border-rule">
                <td className="py-1 pr-4">{named(row.name as Media)}</td>
                <td className="py-1 pr-4">{row.changesPerYear}</td>
                <td className="py-1 pr-4">
                  {prices[i] === null
                    ? "no price given"
                    : moneyAbout({ minor: Math.round(row.costPerYear), currency })}
                </td>
                <td className="py-1">{row.minutesPerYear}</td>
              </tr>
            ))}
          </TableBehind>
        </>
      )}
    </details>
  );
}

/** A figure that is for looking only: it goes nowhere with the form. */
function Figure({
  label,
  of,
  value,
  onType,
}: {
  label: string;
  of: Media;
  value: string;
  onType: (text: string) => void;
}) {
  return (
    <label className="flex flex-col gap-1">
      <span className="text-[0.9375rem]">
        {label}
        <span className="sr-only">: {inSentence(inEnglish(useEnglish(), MEDIA_WORDS[of]))}</span>
      </span>
      <input
        inputMode="decimal"
        autoComplete="off"
        value={value}
        onChange={(event) => onType(event.target.value)}
        className="min-h-11 w-full rounded-sm border-[1.5px] border-second bg-surface px-3 py-2"
      />
    </label>
  );
}

/** Filters running one after another through the years: each piece is one of them. */
function Race({ days, from, years }: { days: readonly number[]; from: number; years: number }) {
  const end = from + Math.round(years * 365.25);
  const x = scaleLinear([from, end], [0, 100]);
  const within = days.filter((day) => day <= end);
  const starts = [from, ...within];
  return (
    <svg
      aria-hidden="true"
      viewBox="0 0 100 10"
      preserveAspectRatio="none"
      className="my-1.5 h-6 w-full"
    >
      {starts.map((start, i) => {
        const stop = Math.min(end, starts[i + 1] ?? end);
        const [left, right] = [x(start), x(stop)];
        return (
          <path
            key={start}
            d={`M${left} 10 L${right} 1.5 V10 Z`}
            className="fill-dust/60 stroke-ink"
            strokeWidth="1"
            vectorEffect="non-scaling-stroke"
          />
        );
      })}
      <line
        x1="0"
        x2="100"
        y1="10"
        y2="10"
        className="stroke-ink"
        strokeWidth="2"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

type Asked = Parameters<WearWorker["compare"]>[0];

/** The newest answer of the worker; one that is overtaken is not shown. */
function useCompared(asked: Asked): Compared | null {
  const [answer, setAnswer] = useState<Compared | null>(null);
  const worker = useRef<{ thread: Worker; ask: Remote<WearWorker> }>(undefined);
  const nth = useRef(0);
  const key = JSON.stringify(asked.options);

  // The worker is outside React: it ends with the page.
  useEffect(() => () => worker.current?.thread.terminate(), []);
  useEffect(() => {
    if (!worker.current) {
      const url = new URL("@/workers/wear-worker.ts", import.meta.url);
      const thread = new Worker(url, { type: "module" });
      worker.current = { thread, ask: wrap<WearWorker>(thread) };
    }
    const mine = ++nth.current;
    void worker.current.ask.compare(asked).then((given) => {
      if (mine === nth.current) setAnswer(given);
    });
    // What is asked is the same as long as its options are; the wear is the page’s own.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return answer;
}
