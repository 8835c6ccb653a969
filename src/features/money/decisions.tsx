"use client";

import { useState } from "react";
import { diyOrPro } from "@/core/calculators/diy-or-pro";
import { worthOf, type UsualLife } from "@/core/money/unit-costs";
import { moneyAbout, moneyFigure, readMoney } from "@/core/quantities/money";
import { TextField } from "@/ui/field";
import type { DiyFacts } from "./money-queries";

/** An amount as it is typed; null where it is none, or not typed yet. */
function useMoney(start: number | null, currency: string) {
  const [text, setText] = useState(start ? moneyFigure(start, currency) : "");
  const minor = text === "" ? null : readMoney(text, currency);
  const error =
    text !== "" && minor === null ? `Write an amount in ${currency}, such as 180.` : undefined;
  return {
    minor,
    field: {
      value: text,
      error,
      onChange: (event: { target: { value: string } }) => setText(event.target.value),
    },
  };
}

/** What doing a job oneself saves, once one knows what a technician asks for it. */
export function DiyOrPro({ facts }: { facts: DiyFacts }) {
  const { currency, perYear, minutes, materialsMinor, hourMinor } = facts;
  const pro = useMoney(null, currency);
  const tools = useMoney(null, currency);
  const words = (minor: number) => moneyAbout({ minor, currency });
  const result =
    pro.minor === null
      ? null
      : diyOrPro({
          ...{ perYear, minutes, materials: materialsMinor, hourValue: hourMinor },
          tools: tools.minor ?? 0,
          proPrice: pro.minor,
        });
  const times = perYear === 1 ? "once a year" : `${Number(perYear.toFixed(1))} times a year`;
  return (
    <section aria-labelledby="diy" className="mt-6 border-t-[3px] border-ink pt-3">
      <h2 id="diy" className="text-lg">
        Yourself, or a technician?
      </h2>
      {facts.isLicensed ? (
        <p>For a technician: no price makes licensed work an owner’s.</p>
      ) : (
        <>
          <p className="text-second">
            {times}, {minutes} minutes
            {materialsMinor > 0 && `, ${words(materialsMinor)} of material`}
            {hourMinor > 0
              ? `; an hour of yours is worth ${words(hourMinor)}`
              : "; your own time costs nothing here"}
            .
          </p>
          <div className="mt-3 grid max-w-xl gap-4 wide:grid-cols-2">
            <TextField
              label={`What a technician asks for it, ${currency}`}
              name="proPrice"
              inputMode="decimal"
              {...pro.field}
            />
            <TextField
              label={`Tools to buy first, ${currency}`}
              name="toolsPrice"
              inputMode="decimal"
              {...tools.field}
            />
          </div>
          {result && (
            <p role="status" className="mt-3 text-lg">
              Yourself {words(result.diyPerYear)} a year, a technician {words(result.proPerYear)}:{" "}
              <strong>
                {result.savedPerYear > 0
                  ? `doing it yourself saves ${words(result.savedPerYear)} a year`
                  : "a technician costs no more than you do"}
              </strong>
              {tools.minor && result.jobsToPayTools !== null
                ? `; the tools are paid after ${result.jobsToPayTools} ${result.jobsToPayTools === 1 ? "job" : "jobs"}`
                : ""}
              .
            </p>
          )}
        </>
      )}
    </section>
  );
}

const ADVICE = {
  repair: "The repair costs less a year: have it done.",
  even: "Both cost about the same a year: comfort, noise and the risk of the next fault decide.",
  replace: "A new one costs less a year: ask for offers before it fails in the worst week.",
} as const;

/** Whether a repair still pays, from what the record knows and two prices. */
export function RepairOrReplace({
  ageYears,
  life,
  running,
  repairMinor,
  replacementMinor,
  currency,
  isUnderWarranty,
}: {
  ageYears: number | null;
  life: UsualLife | null;
  running: { perYear: number; repairs: number; years: number } | null;
  repairMinor: number;
  replacementMinor: number | null;
  currency: string;
  isUnderWarranty: boolean;
}) {
  const repair = useMoney(repairMinor, currency);
  const replacement = useMoney(replacementMinor, currency);
  const words = (minor: number) => moneyAbout({ minor, currency });
  const worth =
    life && ageYears !== null && repair.minor !== null && replacement.minor !== null
      ? worthOf({
          ...{ ageYears, life, repairMinor: repair.minor, replacementMinor: replacement.minor },
          runningPerYear: running?.perYear ?? 0,
          repairsPerYear: running?.repairs ?? 0,
        })
      : null;
  return (
    <section aria-labelledby="worth" className="border-t-[3px] border-ink pt-3">
      <h2 id="worth" className="text-lg">
        Repair it, or replace it?
      </h2>
      <p className="text-second">
        {life
          ? `Such machines usually last ${life.min} to ${life.max} years`
          : "How long such machines last is not known here"}
        {ageYears === null
          ? "; since when it is in service is not written down."
          : `; it is ${Math.floor(ageYears)} years in.`}
        {isUnderWarranty && " Its warranty still runs: ask first who pays."}
      </p>
      <div className="mt-3 grid max-w-xl gap-4 wide:grid-cols-2">
        <TextField
          label={`The repair, ${currency}`}
          name="repairPrice"
          inputMode="decimal"
          {...repair.field}
        />
        <TextField
          label={`A new one, fitted, ${currency}`}
          name="newPrice"
          inputMode="decimal"
          {...replacement.field}
        />
      </div>
      {worth && (
        <p role="status" className="mt-3 text-lg">
          Kept for about {Math.round(worth.yearsLeft)}{" "}
          {Math.round(worth.yearsLeft) === 1 ? "year" : "years"} more it costs{" "}
          {words(worth.keepPerYear)} a year, a new one {words(worth.replacePerYear)}.{" "}
          <strong>{ADVICE[worth.advice]}</strong>
        </p>
      )}
      <p className="mt-1 text-second">
        The repair spread over the years it has left, with what it cost lately; the new one over a
        usual life. What is not safe is not repaired for the price: ask whoever saw it.
      </p>
    </section>
  );
}
