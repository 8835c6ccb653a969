"use client";

import { fitOfSlot } from "@/core/filters/slot-fit";
import { fitWords } from "@/presentation/fit-words";
import { useState } from "react";
import { dilution } from "@/core/calculators/dilution";
import { dose } from "@/core/calculators/dose";
import { wrapCut } from "@/core/calculators/wrap-cut";
import { MM_PER_INCH } from "@/core/quantities/size";
import type { UnitSystem } from "@/core/quantities/length";
import type { FilterSlot } from "@/core/inventory/inventory";
import { TextField } from "@/ui/field";

const figure = (text: string): number | null => {
  const value = Number(text.trim().replace(",", "."));
  return text.trim() !== "" && Number.isFinite(value) && value > 0 ? value : null;
};
const QUART_L = 0.946353;
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

/** How long the sheet is to be cut for the cylinder it goes round. */
export function WrapSheet({ slot }: { slot: FilterSlot | undefined }) {
  const [across, setAcross] = useState("");
  const isInch = slot?.nominal.unit === "in";
  const typed = figure(across);
  const diameterMm = typed === null ? null : isInch ? typed * MM_PER_INCH : typed;
  const heightMm = slot?.nominal.mm.h ?? 1;
  const cut =
    diameterMm === null
      ? null
      : wrapCut({
          diameterMm,
          heightMm,
          // One wrap out of whatever the sheet is: only its length matters here.
          sheetMm: { w: 10 * diameterMm, h: heightMm },
          overlapMm: 25,
        });
  const length = (mm: number) =>
    isInch ? `${Math.round((mm / MM_PER_INCH) * 4) / 4} in` : `${Math.round(mm)} mm`;
  return (
    <Sheet
      answer={
        cut
          ? `Cut it ${length(cut.lengthMm)} long: once round, and a finger’s width over.`
          : "Measure straight across the cylinder."
      }
    >
      <Figure
        label={`The cylinder’s width across, ${isInch ? "inches" : "mm"}`}
        name="across"
        value={across}
        onChange={setAcross}
      />
    </Sheet>
  );
}

/** How much inhibitor a heating takes, and how often its filter's body is filled for it. */
export function DoseSheet({ system }: { system: UnitSystem }) {
  const [power, setPower] = useState("");
  const [share, setShare] = useState("1");
  const [body, setBody] = useState("");
  const [boilerKw, labelPercent] = [figure(power), figure(share)];
  const bodyTyped = figure(body);
  const perUnit = system === "us" ? QUART_L : 1;
  const answer =
    boilerKw !== null && labelPercent !== null && labelPercent <= 100
      ? dose({
          radiatorLitres: undefined,
          boilerKw,
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
          : "The boiler’s power stands on its plate."
      }
    >
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
