import { judged } from "@/core/runs/run";
import type { Step } from "@/core/runs/procedure";
import { ALARM_STATES, type AlarmSeen, type Seen } from "@/core/runs/run-event";
import type { Direction } from "@/core/inventory/directions";
import { judgementOf } from "@/core/history/readings-taken";
import { isWordKind, type ReadingKind } from "@/core/readings/reading-kinds";
import { unitsFor } from "@/core/readings/reading-units";
import type { CapacitorStrategy, KeptJudgement } from "@/core/readings/judge";
import { actualSize, MM_PER_INCH, outgrows, readSize } from "@/core/quantities/size";
import type { UnitSystem } from "@/core/quantities/length";
import { readDecimal } from "@/lib/forms";
import { readReading } from "@/lib/reading-form";

/** What stands in the fields of a step, as typed or chosen. */
export type Typed = {
  word?: string;
  value?: string;
  /** The cooler of two temperatures. */
  second?: string;
  opening?: string;
  buy?: string;
  place?: string;
  count?: string;
  /** Of a reading compared with its plate: the unit, the value or range printed there. */
  unit?: string;
  rated?: string;
  ratedMin?: string;
  ratedMax?: string;
  /** Jobs ticked as done, as `place|kind:key`. */
  works?: string[];
  /** A few words to be kept. */
  said?: string;
  /** By machine: what was seen there. */
  each?: Record<string, string>;
  /** By CO alarm: how it was found, and what it shows. */
  alarms?: Record<string, { state?: string; ppm?: string }>;
};

const MOST_PPM = 10_000;
const figure = (text: string | undefined): number | null => readDecimal(text ?? "");

export type ReadSeen =
  | { kind: "nothing" }
  | { kind: "problem"; field: "value" | "opening" | "buy" | "count" | "alarms"; message: string }
  | { kind: "seen"; seen: Seen; judgement: KeptJudgement | null };

/** What a person saw at a step, from what stands in its fields; or what is wrong with them. */
export function readSeen(
  step: Step,
  typed: Typed,
  system: UnitSystem,
  /** Which capacitor strategy the home follows. */
  school: CapacitorStrategy = "label",
  /** What is written down of the slot it is at. */
  known: Known = {},
): ReadSeen {
  const { records } = step;
  const place = typed.place ? { place: typed.place } : {};
  const seen = (more: Seen, judgement: KeptJudgement | null = null): ReadSeen => ({
    kind: "seen",
    seen: { ...more, ...place },
    judgement,
  });
  switch (records?.kind) {
    case undefined:
      return { kind: "seen", seen: {}, judgement: null };
    case "look":
      return typed.word
        ? seen({ grade: typed.word as NonNullable<Seen["grade"]> })
        : { kind: "nothing" };
    case "choice":
      return typed.word ? seen({ choice: typed.word }) : { kind: "nothing" };
    case "filter-choice":
      return typed.place ? seen({}) : { kind: "nothing" };
    case "direction":
      return typed.word ? seen({ direction: typed.word as Direction }) : { kind: "nothing" };
    case "count":
      return readCount(typed, seen);
    case "setting": {
      const words = (typed.said ?? "").trim();
      if (records.options) return typed.word ? seen({ choice: typed.word }) : { kind: "nothing" };
      return words === "" ? { kind: "nothing" } : seen({ words });
    }
    case "settings": {
      const each = Object.entries(typed.each ?? {}).flatMap(([at, value]) =>
        value === "" ? [] : [{ place: at, value }],
      );
      return each.length === 0 ? { kind: "nothing" } : seen({ each });
    }
    case "words": {
      const words = (typed.said ?? "").trim();
      return words === "" ? { kind: "nothing" } : seen({ words });
    }
    case "alarms":
      return readAlarms(typed, seen);
    case "size":
      return readSizes(typed, system, seen, known);
    case "reading": {
      const kind = records.reading;
      if (records.of === "every-machine") {
        const each = Object.entries(typed.each ?? {}).flatMap(([at, value]) =>
          value === "" ? [] : [{ place: at, value }],
        );
        return each.length === 0
          ? { kind: "nothing" }
          : { kind: "seen", seen: { each }, judgement: null };
      }
      if (isWordKind(kind)) {
        if (!typed.word) return { kind: "nothing" };
        const reading = { value: typed.word };
        return seen({ reading }, judged(kind, reading));
      }
      return records.difference
        ? readDifference(kind, typed, system, seen)
        : readMeasured(kind, typed, system, school, seen);
    }
    case "works": {
      const each = (typed.works ?? []).flatMap((field) => {
        const [at = "", name = ""] = field.split(WORK_SEPARATOR);
        return at && name ? [{ place: at, value: name }] : [];
      });
      return each.length === 0
        ? { kind: "nothing" }
        : { kind: "seen", seen: { each }, judgement: null };
    }
    case "across": {
      if ((typed.value ?? "").trim() === "") return { kind: "nothing" };
      const across = figure(typed.value);
      const acrossMm = across === null ? 0 : across * (system === "us" ? MM_PER_INCH : 1);
      return acrossMm > 0 && acrossMm <= MOST_ACROSS_MM
        ? seen({ acrossMm })
        : { kind: "problem", field: "value", message: "Write its width straight across." };
    }
  }
}

type Known = { nominal?: { text: string } | undefined };
type Found = (more: Seen, judgement?: KeptJudgement | null) => ReadSeen;

/** Separates the place and the name of a job that is ticked. */
export const WORK_SEPARATOR = "|";
const MOST_ACROSS_MM = 2000;
const NOT_SO = "That cannot be: look at the number again.";
const problemAt = (message: string): ReadSeen => ({ kind: "problem", field: "value", message });

/** A single figure, beside what is printed on the plate where it is compared with that. */
function readMeasured(
  kind: ReadingKind,
  typed: Typed,
  system: UnitSystem,
  school: CapacitorStrategy,
  seen: Found,
): ReadSeen {
  const { value = "", unit = "", rated = "", ratedMin = "", ratedMax = "" } = typed;
  if (value.trim() === "") return { kind: "nothing" };
  const fields = { kind, value, unit, rated, ratedMin, ratedMax, mode: "", word: "", flags: [] };
  const read = readReading({ ...fields, school: kind === "capacitor-uf" ? school : "" }, system);
  if (!read.ok) {
    const { rated: ofRated, ratedMin: ofRange } = read.errors;
    return problemAt(ofRated ?? ofRange ?? (figure(value) === null ? read.errors.value! : NOT_SO));
  }
  const { taken } = read;
  if (typeof taken.value !== "number") return problemAt(NOT_SO);
  return seen(
    {
      reading: {
        value: taken.value,
        unit: taken.unit,
        typed: taken.typed,
        rated: taken.rated,
        school: taken.school,
      },
    },
    judgementOf(taken),
  );
}

/** Two temperatures, the warmer first. */
function readDifference(
  kind: ReadingKind,
  typed: Typed,
  system: UnitSystem,
  seen: Found,
): ReadSeen {
  const texts = [typed.value, typed.second];
  if (texts.every((text) => (text ?? "").trim() === "")) return { kind: "nothing" };
  const figures = texts.map(figure);
  if (figures.some((each) => each === null)) return problemAt("Write both temperatures.");
  const [first, second] = figures as [number, number];
  const unit = unitsFor(kind, system)[0]!;
  const value = Math.round((first - second) * unit.per * 1e6) / 1e6;
  const reading = {
    value,
    unit: unitsFor(kind, "metric")[0]!.value,
    typed: { value: String(Number((first - second).toPrecision(6))), unit: unit.value },
  };
  const judgement = judged(kind, reading);
  return judgement ? seen({ reading }, judgement) : problemAt(NOT_SO);
}

function readCount({ count = "" }: Typed, seen: Found): ReadSeen {
  const text = count.trim();
  if (text === "") return { kind: "nothing" };
  return /^\d{1,3}$/.test(text)
    ? seen({ count: Number(text) })
    : { kind: "problem", field: "count", message: "A whole number, 0 to 999." };
}

/** An alarm without a display has no reading: what it does not show is not written down. */
function readAlarms({ alarms = {} }: Typed, seen: Found): ReadSeen {
  const list: AlarmSeen[] = [];
  for (const [place, { state, ppm = "" }] of Object.entries(alarms)) {
    if (!state && ppm.trim() === "") continue;
    const shown = ppm.trim() === "" ? undefined : figure(ppm);
    const known = ALARM_STATES.find((each) => each === state) ?? "quiet";
    if (shown === null || (shown !== undefined && !(shown >= 0 && shown <= MOST_PPM)))
      return {
        kind: "problem",
        field: "alarms",
        message: "What it shows: a number of ppm, 0 or more.",
      };
    list.push({ place, state: known, ...(shown === undefined ? {} : { ppm: shown }) });
  }
  return list.length === 0 ? { kind: "nothing" } : seen({ alarms: list });
}

const SIZE_PROBLEM = "Write it as width × height × depth, such as 20 1/8 × 20 1/8 × 1.";

/** A size with its unit written out, so that it means the same wherever it is read again. */
function withUnit(text: string, system: UnitSystem): string | null {
  const size = readSize(text, system === "us" ? "in" : "mm");
  if (!size.ok) return null;
  return /(in|mm|cm|"|″|“|”|'')/i.test(text) ? text.trim() : `${text.trim()} ${size.unit}`;
}

function readSizes(
  { opening = "", buy = "" }: Typed,
  system: UnitSystem,
  seen: Found,
  known: Known,
): ReadSeen {
  if (opening.trim() === "" && buy.trim() === "") return { kind: "nothing" };
  const size = withUnit(opening, system);
  if (size === null) return { kind: "problem", field: "opening", message: SIZE_PROBLEM };
  if (buy.trim() === "")
    return known.nominal && isTooLarge(known.nominal.text, size)
      ? { kind: "problem", field: "buy", message: TOO_LARGE }
      : seen({ size: { opening: size } });
  const next = withUnit(buy, system);
  if (next === null)
    return { kind: "problem", field: "buy", message: "Write it as on its frame, such as 20x20x1." };
  if (isTooLarge(next, size)) return { kind: "problem", field: "buy", message: TOO_LARGE };
  return seen({ size: { opening: size, buy: next } });
}

const TOO_LARGE =
  "A filter of this size does not go into that opening. Measure both once more, or write the size that does.";

/** Whether a filter of a printed size is larger than an opening; both with their units. */
function isTooLarge(printed: string, opening: string): boolean {
  const [filter, slot] = [readSize(printed, "in"), readSize(opening, "in")];
  return filter.ok && slot.ok && outgrows(actualSize(filter.mm, filter.unit), slot.mm).length > 0;
}
