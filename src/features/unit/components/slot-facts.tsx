import type { ReactNode } from "react";
import { AIR_SIDE_WORDS, DIRECTION_WORDS, MEDIA_WORDS } from "@/content/words";
import { sizeAsPrinted } from "@/content/slot-words";
import { moneyWords } from "@/core/quantities/money";
import type { PlainDate } from "@/core/quantities/plain-date";
import { ratingWords } from "@/core/quantities/rating";
import { actualSize, sizeWords } from "@/core/quantities/size";
import { dateWords } from "@/core/quantities/words";
import type { FilterSlot, Home } from "@/core/register/register";

export function SlotFacts({
  home,
  slot,
  today,
  fittedOn,
}: {
  home: Home;
  slot: FilterSlot;
  today: PlainDate;
  fittedOn: PlainDate | null;
}) {
  const unit = home.unitSystem === "us" ? "in" : "mm";
  const actual = actualSize(slot.nominal.mm, slot.nominal.unit, slot.measured?.mm);
  const facts: [string, ReactNode][] = [
    ["Where", slot.place],
    [
      "Size",
      `${slot.filterCount > 1 ? `${slot.filterCount} of ` : ""}${sizeAsPrinted(slot.nominal.text)} printed; really ${sizeWords(actual, unit)}${slot.measured ? "" : ", as the trade makes it"}`,
    ],
    ["Slot", slot.opening && sizeWords(slot.opening.mm, unit)],
    ["Medium", MEDIA_WORDS[slot.media]],
    ["Rating", slot.rating && ratingWords(slot.rating)],
    ["Air", AIR_SIDE_WORDS[slot.airSide]],
    [
      "Arrow",
      [
        slot.direction === "unknown" ? "not known yet" : DIRECTION_WORDS[slot.direction],
        slot.directionMark,
      ]
        .filter(Boolean)
        .join("; "),
    ],
    ["Light", slot.indicator ? "has a filter light to reset" : undefined],
    [
      "Price",
      slot.priceMinor !== undefined &&
        moneyWords({ minor: slot.priceMinor, currency: home.currency }),
    ],
    ["Fitted", fittedOn && dateWords(fittedOn, today)],
  ];
  return (
    <dl className="grid grid-cols-[5.5rem_minmax(0,1fr)] border-b border-rule">
      {facts
        .filter(([, value]) => Boolean(value))
        .map(([name, value]) => (
          <div key={name} className="col-span-2 grid grid-cols-subgrid border-t border-rule py-2">
            <dt className="text-second">{name}</dt>
            <dd className="figures">{value}</dd>
          </div>
        ))}
    </dl>
  );
}
