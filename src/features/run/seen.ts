import { judged } from "@/core/procedures/run";
import type { Step } from "@/core/procedures/procedure";
import type { Seen } from "@/core/procedures/run-event";
import { isWordKind } from "@/core/readings/reading-kinds";
import { unitsFor } from "@/core/readings/reading-units";
import type { Judgement } from "@/core/readings/judge";
import { readSize } from "@/core/quantities/size";
import type { UnitSystem } from "@/core/quantities/length";

/** What stands in the fields of a step, as typed or chosen. */
export type Typed = {
  word?: string;
  value?: string;
  /** The cooler of two temperatures. */
  second?: string;
  opening?: string;
  buy?: string;
  place?: string;
};

const figure = (text: string | undefined): number | null => {
  const plain = (text ?? "").trim().replace(",", ".").replace("−", "-");
  const value = Number(plain);
  return plain === "" || !Number.isFinite(value) ? null : value;
};

export type ReadSeen =
  | { kind: "nothing" }
  | { kind: "problem"; field: "value" | "opening" | "buy"; message: string }
  | { kind: "seen"; seen: Seen; judgement: Judgement | null };

/** What a person saw at a step, from what stands in its fields; or what is wrong with them. */
export function readSeen(step: Step, typed: Typed, system: UnitSystem): ReadSeen {
  const { records } = step;
  const place = typed.place ? { place: typed.place } : {};
  const seen = (more: Seen, judgement: Judgement | null = null): ReadSeen => ({
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
    case "size":
      return readSizes(typed, seen);
    case "reading": {
      const kind = records.reading;
      if (isWordKind(kind)) {
        if (!typed.word) return { kind: "nothing" };
        const reading = { value: typed.word };
        return seen({ reading }, judged(kind, reading));
      }
      return readMeasured(kind, records.difference !== undefined, typed, system, seen);
    }
  }
}

type Found = (more: Seen, judgement?: Judgement | null) => ReadSeen;

function readMeasured(
  kind: Parameters<typeof unitsFor>[0],
  isDifference: boolean,
  typed: Typed,
  system: UnitSystem,
  seen: Found,
): ReadSeen {
  const texts = isDifference ? [typed.value, typed.second] : [typed.value];
  if (texts.every((text) => (text ?? "").trim() === "")) return { kind: "nothing" };
  const figures = texts.map(figure);
  const problem = (message: string): ReadSeen => ({ kind: "problem", field: "value", message });
  if (figures.some((each) => each === null))
    return problem(isDifference ? "Write both temperatures." : "Write the number that was read.");
  const [first, second = 0] = figures as number[];
  const unit = unitsFor(kind, system)[0]!;
  const value = Math.round((first! - second) * unit.per * 1e6) / 1e6;
  const written = isDifference
    ? String(Number((first! - second).toPrecision(6)))
    : (texts[0] ?? "").trim();
  const judgedIn = unitsFor(kind, "metric")[0]!;
  const reading = {
    value,
    unit: judgedIn.value,
    typed: { value: written, unit: unit.value },
  };
  const judgement = judged(kind, reading);
  return judgement
    ? seen({ reading }, judgement)
    : problem("That cannot be: look at the number again.");
}

const SIZE_PROBLEM = "Write it as width × height × depth, such as 20 1/8 × 20 1/8 × 1.";

function readSizes({ opening = "", buy = "" }: Typed, seen: Found): ReadSeen {
  if (opening.trim() === "" && buy.trim() === "") return { kind: "nothing" };
  if (!readSize(opening, "in").ok)
    return { kind: "problem", field: "opening", message: SIZE_PROBLEM };
  if (buy.trim() === "") return seen({ size: { opening: opening.trim() } });
  if (!readSize(buy, "in").ok)
    return { kind: "problem", field: "buy", message: "Write it as on its frame, such as 20x20x1." };
  return seen({ size: { opening: opening.trim(), buy: buy.trim() } });
}
