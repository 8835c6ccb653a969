"use client";

import { fitOfSlot } from "@/core/filters/slot-fit";
import { fitWords } from "@/presentation/fit-words";
import { useState } from "react";
import { dilution } from "@/core/calculators/dilution";
import { dose } from "@/core/calculators/dose";
import { ductPull } from "@/core/calculators/duct-pull";
import { wrapCut } from "@/core/calculators/wrap-cut";
import { MM_PER_INCH } from "@/core/quantities/size";
import type { UnitSystem } from "@/core/quantities/length";
import type { FilterSlot } from "@/core/inventory/inventory";
import { TextField } from "@/ui/field";
import type { RunWith } from "../guide/run-with";
import type { Typed } from "./seen";

const figure = (text: string): number | null => {
  const value = Number(text.trim().replace(",", "."));
  return text.trim() !== "" && Number.isFinite(value) && value > 0 ? value : null;
};
const QUART_L = 0.946353;
const FOOT_M = 0.3048;
const shown = (value: number) => String(Number(value.toPrecision(2)));
const volume = (litres: number, system: UnitSystem) =>
  system === "us" ? `${shown(litres / QUART_L)} qt` : `${shown(litres)} L`;

function Figure({
  label,
  name,
  value,
  onChange,
}: {
  label: string;
  name: string;
  value: string;
  onChange: (value: string) => void;
}) {
  return (
    <TextField
      label={label}
      name={name}
      inputMode="decimal"
      className="figures"
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}

function Sheet({ children, answer }: { children: React.ReactNode; answer: string }) {
  return (
    <div className="max-w-[34rem] border-y-2 border-ink py-3 text-[1.125rem]">
      <div className="grid gap-3 wide:grid-cols-2">{children}</div>
      <p role="status" className="figures mt-3 text-[1.375rem] font-semibold">
        {answer}
      </p>
    </div>
  );
}

/** How much cleaner and water fill the sprayer, by the parts on the label. */
export function DilutionSheet({ system }: { system: UnitSystem }) {
  const [water, setWater] = useState("4");
  const [tank, setTank] = useState("2");
  const [waterParts, size] = [figure(water), figure(tank)];
  const perUnit = system === "us" ? QUART_L : 1;
  const mix =
    waterParts !== null && size !== null
      ? dilution({ concentrateParts: 1, waterParts, tankL: size * perUnit })
      : null;
  return (
    <Sheet
      answer={
        mix
          ? `${volume(mix.concentrateL, system)} of cleaner, ${volume(mix.waterL, system)} of water`
          : "Take the parts from the label."
      }
    >
      <Figure
        label="Parts of water to one of cleaner"
        name="water"
        value={water}
        onChange={setWater}
      />
      <Figure
        label={system === "us" ? "The sprayer holds, quarts" : "The sprayer holds, litres"}
        name="tank"
        value={tank}
        onChange={setTank}
      />
    </Sheet>
  );
}

/**
 * How long the sheet is to be cut for the cylinder it goes round; its width is kept with its slot, so that the
 * next sheet is cut beforehand.
 */
export function WrapSheet({
  typed,
  setTyped,
  slot,
  system,
  error,
}: {
  typed: Typed;
  setTyped: (typed: Typed) => void;
  slot: FilterSlot | undefined;
  system: UnitSystem;
  error: string | undefined;
}) {
  const isInch = system === "us";
  const known =
    slot?.acrossMm === undefined
      ? ""
      : String(Number((slot.acrossMm / (isInch ? MM_PER_INCH : 1)).toPrecision(4)));
  const across = figure(typed.value ?? known);
  const length = across === null ? null : wrapLengthMm(isInch ? across * MM_PER_INCH : across);
  return (
    <div className="max-w-[34rem] border-y-2 border-ink py-3 text-[1.125rem]">
      <TextField
        label={`The cylinder’s width across, ${isInch ? "inches" : "mm"}`}
        name="value"
        inputMode="decimal"
        className="figures min-h-14 text-[1.5rem]"
        value={typed.value ?? known}
        onChange={(event) => setTyped({ ...typed, value: event.target.value })}
        error={error}
        hint={known ? "As it was measured the last time." : undefined}
      />
      <p role="status" className="figures mt-3 text-[1.375rem] font-semibold">
        {length === null
          ? "Measure straight across the cylinder."
          : `Cut it ${wrapWords(length, isInch)} long: once round, and a finger’s width over.`}
      </p>
    </div>
  );
}

/** How long the new sheet is, where the width of its cylinder is known from before. */
export function WrapLength({ slot, system }: { slot: FilterSlot; system: UnitSystem }) {
  if (slot.acrossMm === undefined) return null;
  return (
    <p className="figures border-y-2 border-ink py-2.5 font-semibold">
      {wrapWords(wrapLengthMm(slot.acrossMm), system === "us")} long
    </p>
  );
}

const wrapLengthMm = (diameterMm: number): number =>
  // One wrap out of whatever the sheet is: only its length matters here.
  wrapCut({
    diameterMm,
    heightMm: 1,
    sheetMm: { w: 10 * diameterMm, h: 1 },
    overlapMm: OVERLAP_MM,
  }).lengthMm;
const OVERLAP_MM = 25;
const wrapWords = (mm: number, isInch: boolean): string =>
  isInch ? `${Math.round((mm / MM_PER_INCH) * 4) / 4} in` : `${Math.round(mm)} mm`;

/** How long a cleaning of the ducts takes, drawn back as is the practice, from the top of the house down. */
export function DuctPullSheet({ runs, system }: { runs: RunWith["ductRuns"]; system: UnitSystem }) {
  const [speed, setSpeed] = useState(system === "us" ? "1" : "0.3");
  const perUnit = system === "us" ? FOOT_M : 1;
  const typed = figure(speed);
  const pull =
    typed === null || runs.length === 0
      ? null
      : ductPull({ runs, speedMs: typed * perUnit, setupMinutes: 5 });
  const answer = pull
    ? `About ${Math.round(pull.minutes)} minutes for ${runs.length} ${runs.length === 1 ? "run" : "runs"}: ${pull.order.map(({ name, minutes }) => `${name ?? "a run"} ${Math.round(minutes)}`).join(", ")}.`
    : "Write the lengths of the runs down with the ducts, and the minutes stand here.";
  return (
    <Sheet answer={answer}>
      <Figure
        label={`Drawn back, ${system === "us" ? "ft" : "m"} a second: practice, no rule`}
        name="speed"
        value={speed}
        onChange={setSpeed}
      />
    </Sheet>
  );
}

/**
 * How much inhibitor a heating takes, and how often its filter's body is filled for it: by its radiators' water
 * where that is known, else by the boiler's power.
 */
export function DoseSheet({
  system,
  radiatorLitres,
}: {
  system: UnitSystem;
  /** What its radiators hold together, as it is written down with them. */
  radiatorLitres: number | null;
}) {
  const [litres, setLitres] = useState(radiatorLitres === null ? "" : String(radiatorLitres));
  const [power, setPower] = useState("");
  const [share, setShare] = useState("1");
  const [body, setBody] = useState("");
  const [boilerKw, labelPercent] = [figure(power), figure(share)];
  const bodyTyped = figure(body);
  const perUnit = system === "us" ? QUART_L : 1;
  const water = figure(litres);
  const answer =
    (boilerKw !== null || water !== null) && labelPercent !== null && labelPercent <= 100
      ? dose({
          radiatorLitres: water ?? undefined,
          boilerKw: boilerKw ?? undefined,
          labelPercent,
          filterBodyL: bodyTyped === null ? undefined : bodyTyped * perUnit,
        })
      : null;
  const fills = answer?.bodyFills ? `, ${answer.bodyFills} fillings of the body` : "";
  return (
    <Sheet
      answer={
        answer
          ? `About ${volume(answer.doseL, system)} for the whole heating${fills}.`
          : "What the radiators hold, or the boiler’s power from its plate."
      }
    >
      <Figure label="Its radiators hold, L" name="litres" value={litres} onChange={setLitres} />
      <Figure label="The boiler’s power, kW" name="power" value={power} onChange={setPower} />
      <Figure label="The label says, percent" name="share" value={share} onChange={setShare} />
      <Figure
        label={system === "us" ? "The body holds, quarts" : "The body holds, litres"}
        name="body"
        value={body}
        onChange={setBody}
      />
    </Sheet>
  );
}

/** How a filter sits in its slot, where both were measured. */
export function FitSheet({ slot, system }: { slot: FilterSlot; system: UnitSystem }) {
  const fit = fitOfSlot(slot, undefined);
  return fit && <p className="max-w-[34rem]">{fitWords(fit, system === "us" ? "in" : "mm")}</p>;
}
