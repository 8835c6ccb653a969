"use client";

import { wrap, type Remote } from "comlink";
import { useEffect, useMemo, useRef, useState } from "react";
import { inEnglish } from "@/content/english";
import { MEDIA_WORDS } from "@/content/words";
import type { UnitSystem } from "@/core/quantities/length";
import { differenceFromKelvin } from "@/core/quantities/temperature";
import { daysFrom, type PlainDate } from "@/core/quantities/plain-date";
import { betweenWords, dateWords, spanWords } from "@/core/quantities/words";
import type { Media } from "@/core/filters/media";
import { AS_IT_IS, type WhatIf, type WhatIfResult } from "@/core/filters/what-if";
import type { WearInput } from "@/core/filters/wear-schema";
import type { WearAnswer, WearWorker } from "@/workers/wear-worker";
import { Button } from "@/ui/button";
import { useEnglish } from "@/ui/english";
import { SelectField } from "@/ui/field";
import type { Curve } from "./curve";
import { WearCurve } from "./wear-curve";

/** No curve is drawn further than this, days: the rest would be too small to read. */
const LONGEST_DAYS = 800;

function withOther(curve: Curve, result: WhatIfResult | null): Curve {
  if (!result) return curve;
  const last = result.points.at(-1)?.x ?? curve.to;
  const to = Math.min(curve.from + LONGEST_DAYS, Math.max(curve.to, last));
  return { ...curve, to, other: result.points };
}

/** “6 °C”, “11 °F”: a difference, without the offset. */
const degreesApart = (kelvin: number, system: UnitSystem): string =>
  system === "us" ? `${Math.round(differenceFromKelvin(kelvin, "F"))} °F` : `${kelvin} °C`;

const MONTHLY_DAYS = 30;
const MOST_PETS = 4;
const MOST_KELVIN = 6;

/** The wear curve, and what it would be with another pet, another winter, another filter. */
export function CurveWithWhatIf({
  curve,
  title,
  today,
  likely,
  input,
  pets,
  media,
  system,
}: {
  curve: Curve;
  title: string;
  today: PlainDate;
  likely: PlainDate | null;
  input: WearInput;
  /** Shedding animals there are. */
  pets: number;
  /** What could sit in the slot instead. */
  media: readonly Media[];
  system: UnitSystem;
}) {
  const [change, setChange] = useState(AS_IT_IS);
  const english = useEnglish();
  const isSame = JSON.stringify(change) === JSON.stringify(AS_IT_IS);
  const answer = useWorker(input, change, !isSame);
  const shown = isSame ? null : answer;
  const both = useMemo(() => withOther(curve, shown?.result ?? null), [curve, shown]);
  return (
    <>
      <WearCurve curve={both} today={today} title={title} />
      <details className="group border-y border-rule">
        <summary className="flex min-h-11 cursor-pointer items-center text-link underline underline-offset-4">
          What if …
        </summary>
        <div className="grid gap-x-8 gap-y-4 pb-4 wide:grid-cols-2">
          <Slider
            label="Shedding animals"
            value={change.pets ?? pets}
            min={0}
            max={MOST_PETS}
            words={String(change.pets ?? pets)}
            onChange={(count) => setChange({ ...change, pets: count === pets ? null : count })}
          />
          <Slider
            label="From today on"
            value={change.warmerK}
            min={-MOST_KELVIN}
            max={MOST_KELVIN}
            words={
              change.warmerK === 0
                ? "as cold as usual"
                : `${degreesApart(Math.abs(change.warmerK), system)} ${change.warmerK < 0 ? "colder" : "warmer"}`
            }
            onChange={(warmerK) => setChange({ ...change, warmerK })}
          />
          {media.length > 1 && (
            <SelectField
              label="Filter"
              name="what-if-media"
              options={media.map((each) => ({
                value: each,
                label: inEnglish(english, MEDIA_WORDS[each]),
              }))}
              value={change.media ?? input.slot.media}
              onChange={(event) => {
                const chosen = event.target.value as Media;
                setChange({ ...change, media: chosen === input.slot.media ? null : chosen });
              }}
            />
          )}
          <label className="flex min-h-11 items-center gap-3 self-end py-2">
            <input
              type="checkbox"
              className="size-5 accent-link"
              checked={change.lookEveryDays !== null}
              onChange={(event) =>
                setChange({ ...change, lookEveryDays: event.target.checked ? MONTHLY_DAYS : null })
              }
            />
            <span className="font-semibold">A look every month</span>
          </label>
        </div>
        <div className="flex flex-wrap items-center justify-between gap-x-6 pb-3">
          <p role="status" className="figures border-l-4 border-ink bg-surface px-4 py-2.5">
            {shown ? (
              <Answer answer={shown} likely={change.media === null ? likely : null} today={today} />
            ) : (
              "Move something: the dashed line shows what it would do."
            )}
          </p>
          {!isSame && (
            <Button weight="quiet" onClick={() => setChange(AS_IT_IS)}>
              As it is
            </Button>
          )}
        </div>
      </details>
    </>
  );
}

function Answer({
  answer: {
    result: { early, likely, late, newOneLasts },
    usuallyLasts,
  },
  likely: now,
  today,
}: {
  answer: WearAnswer;
  likely: PlainDate | null;
  today: PlainDate;
}) {
  if (!likely) return <>Not due within three years.</>;
  const days = now ? daysFrom(now, likely) : 0;
  return (
    <>
      {now ? "Due" : "Put in today it would be due"} <strong>{dateWords(likely, today)}</strong>
      {early && late && `, ${betweenWords(early, late, today)}`}
      {now &&
        (days === 0 ? ": the same day" : `: ${spanWords(days)} ${days < 0 ? "sooner" : "later"}`)}
      .
      {newOneLasts !== null && usuallyLasts !== null && (
        <span className="block">
          A new one, fitted today, would last <strong>{newOneLasts} days</strong>
          {newOneLasts !== usuallyLasts && ` instead of ${usuallyLasts}`}.
        </span>
      )}
    </>
  );
}

function Slider({
  label,
  value,
  min,
  max,
  words,
  onChange,
}: {
  label: string;
  value: number;
  min: number;
  max: number;
  words: string;
  onChange: (value: number) => void;
}) {
  return (
    <label className="flex flex-col gap-1">
      <span>
        <span className="font-semibold">{label}:</span> {words}
      </span>
      <input
        type="range"
        className="h-11 w-full accent-link"
        min={min}
        max={max}
        step={1}
        value={value}
        aria-valuetext={words}
        onChange={(event) => onChange(Number(event.target.value))}
      />
    </label>
  );
}

/** The newest answer of the worker; one that is overtaken is not shown. */
function useWorker(input: WearInput, change: WhatIf, isAsked: boolean): WearAnswer | null {
  const [answer, setAnswer] = useState<WearAnswer | null>(null);
  const worker = useRef<{ thread: Worker; ask: Remote<WearWorker> }>(undefined);
  const nth = useRef(0);

  // The worker is outside React: it starts with the first question and ends with the page.
  useEffect(() => () => worker.current?.thread.terminate(), []);
  useEffect(() => {
    if (!isAsked) return;
    if (!worker.current) {
      const url = new URL("@/workers/wear-worker.ts", import.meta.url);
      const thread = new Worker(url, { type: "module" });
      worker.current = { thread, ask: wrap<WearWorker>(thread) };
    }
    const mine = ++nth.current;
    void worker.current.ask.whatIf(input, change).then((given) => {
      if (mine === nth.current) setAnswer(given);
    });
  }, [input, change, isAsked]);
  return answer;
}
