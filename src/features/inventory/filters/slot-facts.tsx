import { englishOf, inEnglish } from "@/content/english";
import { Link } from "@/ui/link";
import {
  AIR_SIDE_WORDS,
  DIRECTION_WORDS,
  MEDIA_WORDS,
  SEAT_WORDS,
  SLOT_PLACE_WORDS,
} from "@/content/words";
import { sizeAsPrinted, sizeMissing } from "@/presentation/slot-words";
import { crosswalkWords, fitWords } from "@/presentation/fit-words";
import { moneyWords } from "@/core/quantities/money";
import type { PlainDate } from "@/core/quantities/plain-date";
import { ratingWords } from "@/core/quantities/rating";
import { actualSize, sizeWords } from "@/core/quantities/size";
import { capitalised, dateWords } from "@/core/quantities/words";
import { crosswalkOfSlot, fitOfSlot } from "@/core/filters/slot-fit";
import type { FilterSlot } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { Facts } from "../units/facts";

/** From this share on, air past the frame is worth counting among what wears the filter. */
const WORTH_COUNTING = 0.005;

/** What is known of a slot: where it is, what fits, how it sits, which way round. */
export function SlotFacts({
  snapshot,
  slot,
  today,
  fittedOn,
}: {
  snapshot: HomeSnapshot;
  slot: FilterSlot;
  today: PlainDate;
  fittedOn: PlainDate | null;
}) {
  const { home } = snapshot;
  const unit = home.unitSystem === "us" ? "in" : "mm";
  const system = snapshot.systems.find(
    (each) => each.id === snapshot.units.find(({ id }) => id === slot.unitId)?.systemId,
  );
  const fit = fitOfSlot(slot, system);
  const crosswalk = crosswalkOfSlot(slot);
  const counted = snapshot.drivers.some(
    (driver) => driver.kind === "bypass" && driver.scope === "part" && driver.partId === slot.id,
  );
  const room = snapshot.rooms.find((each) => each.id === slot.roomId)?.name;
  const place = slot.slotPlace === "elsewhere" ? undefined : SLOT_PLACE_WORDS[slot.slotPlace];
  return (
    <Facts
      facts={[
        ["Where", capitalised([place, room, slot.place].filter(Boolean).join("; "))],
        [
          "Size",
          <>
            {slot.filterCount > 1 && `${slot.filterCount} of `}
            <SizeFact slot={slot} unit={unit} />
            {slot.cutToSize && "; cut from a sheet"}
          </>,
        ],
        [
          "Slot",
          slot.opening && `${sizeWords(slot.opening.mm, unit)}, ${SEAT_WORDS[slot.seat].name}`,
        ],
        [
          "Fit",
          fit && (
            <>
              {fitWords(fit, unit)}
              {!counted && fit.bypass !== null && fit.bypass >= WORTH_COUNTING && (
                <Link
                  href={`/homes/${home.id}/household?kind=bypass&scope=part:${slot.id}&percent=${Math.round(fit.bypass * 1000) / 10}`}
                  className="mt-1 block text-link underline underline-offset-4"
                >
                  Count it in its due date
                </Link>
              )}
            </>
          ),
        ],
        ["Medium", inEnglish(englishOf(home), MEDIA_WORDS[slot.media])],
        [
          "Rating",
          slot.rating &&
            `${ratingWords(slot.rating)}. ${crosswalk ? crosswalkWords(crosswalk, slot.rating.scheme) : ""}`,
        ],
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
        ["Light", slot.indicator && (slot.indicatorReset ?? "has a filter light to reset")],
        [
          "Price",
          slot.priceMinor !== undefined &&
            moneyWords({ minor: slot.priceMinor, currency: home.currency }),
        ],
        ["Fitted", fittedOn && dateWords(fittedOn, today)],
        ["Notes", slot.note],
      ]}
    />
  );
}

function SizeFact({ slot, unit }: { slot: FilterSlot; unit: "in" | "mm" }) {
  const { nominal, measured, identity } = slot;
  if (!nominal) return identity?.model ?? sizeMissing(slot);
  const actual = actualSize(nominal.mm, nominal.unit, measured?.mm);
  return (
    <>
      {sizeAsPrinted(nominal.text)} printed; really {sizeWords(actual, unit)}
      {!measured && nominal.unit === "in" && ", half an inch less, so that it slides"}
    </>
  );
}
