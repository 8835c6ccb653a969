import type { FilterSlot, Part } from "@/core/inventory/inventory";
import type { Identity, IdentityKey } from "@/core/inventory/identity";
import { dayAndMonth } from "@/core/quantities/words";
import type { PlainDate } from "@/core/quantities/plain-date";

type Asked = {
  key: IdentityKey;
  label: string;
  fact?: string;
  kind: "text" | "day" | "yes-no";
  hint?: string;
};

/** What may be known of a machine or a part by its plate, in the order in which it is asked. */
export const IDENTITY_FIELDS: readonly Asked[] = [
  { key: "make", label: "Make", kind: "text" },
  { key: "model", label: "Model", kind: "text" },
  { key: "serial", fact: "Serial", label: "Serial number", kind: "text" },
  { key: "madeOn", fact: "Made", label: "Made on", kind: "day" },
  { key: "filterNumber", fact: "Filter no.", label: "Part number of its filter", kind: "text" },
  { key: "panelNumber", fact: "Panel no.", label: "Part number of its panel", kind: "text" },
  { key: "sealNumber", fact: "Seal kit", label: "Part number of its seal kit", kind: "text" },
  { key: "tool", fact: "Tool", label: "The tool it takes", kind: "text", hint: "“lid key, long”" },
  { key: "toolHangs", fact: "It hangs", label: "Where that tool hangs", kind: "text" },
  { key: "warrantyEndsOn", fact: "Warranty", label: "Warranty until", kind: "day" },
  {
    key: "warrantyRegistered",
    fact: "Registered",
    label: "Warranty registered with the maker",
    kind: "yes-no",
  },
];

const OF_UNIT: readonly IdentityKey[] = [
  "make",
  "model",
  "serial",
  "madeOn",
  "warrantyEndsOn",
  "warrantyRegistered",
];
const NUMBERS: readonly IdentityKey[] = ["filterNumber", "panelNumber", "sealNumber"];
/** Which number a part is bought by; what is not here is known by make and model. */
const NUMBER_OF: Readonly<Record<string, IdentityKey>> = {
  "filter-slot": "filterNumber",
  "fine-filter": "filterNumber",
  "grease-filter": "filterNumber",
  "hood-carbon": "filterNumber",
  "inlet-screen": "filterNumber",
  "humidifier-panel": "panelNumber",
  "magnetic-filter": "sealNumber",
  "cover-seal": "sealNumber",
};

/** What is worth asking at a plate: of a machine, or of a part of this kind. */
export function fieldsAt(of: "unit" | { part: string }): Asked[] {
  if (of === "unit") return IDENTITY_FIELDS.filter(({ key }) => OF_UNIT.includes(key));
  const number = NUMBER_OF[of.part];
  return IDENTITY_FIELDS.filter(({ key }) => !NUMBERS.includes(key) || key === number);
}

/** What is known of it, a line each: “Serial: NG-8041”. */
export function identityLines(
  identity: Identity | undefined,
  today: PlainDate,
): { label: string; value: string }[] {
  return IDENTITY_FIELDS.flatMap(({ key, label: asked, fact }) => {
    const label = fact ?? asked;
    const value = identity?.[key];
    if (value === undefined) return [];
    if (typeof value === "boolean") return [{ label, value: value ? "yes" : "no" }];
    const isDay = key === "madeOn" || key === "warrantyEndsOn";
    const day = value as PlainDate;
    return [{ label, value: isDay ? `${dayAndMonth(day, today)} ${day.slice(0, 4)}` : value }];
  });
}

/** By what a part’s number is asked: the kind of a part, or that of a filter’s slot. */
export const kindAtPlate = (
  slot: Pick<FilterSlot, "media"> | undefined,
  part: Pick<Part, "kind"> | undefined,
): string =>
  slot ? (slot.media === "humidifier-panel" ? slot.media : "filter-slot") : (part?.kind ?? "");

/** By what a part is bought, in a few words: “Corvid F-2, 5 µF ± 6 %”; empty where nothing is known. */
export const partNumbers = ({
  identity,
  attributes,
}: Pick<Part, "identity" | "attributes">): string =>
  [
    [identity?.make, identity?.model].filter(Boolean).join(" "),
    identity?.filterNumber,
    identity?.panelNumber,
    identity?.sealNumber,
    attributes["rated"],
    attributes["size"],
  ]
    .filter(Boolean)
    .join(", ");
