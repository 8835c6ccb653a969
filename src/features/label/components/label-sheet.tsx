import QRCode from "qrcode";
import { DIRECTION_WORDS } from "@/content/words";
import { sizeAsPrinted } from "@/content/slot-words";
import { ratingWords } from "@/core/quantities/rating";
import { longDate } from "@/core/quantities/words";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { FilterSlot, Unit } from "@/core/register/register";
import { FlowArrow } from "@/ui/flow-arrow";
import { PrintButton } from "@/ui/print-button";

const withYear = (date: PlainDate) => `${longDate(date)} ${date.slice(0, 4)}`;

/** A label for the frame of the filter in place: its size, arrow, date and next due. */
export async function LabelSheet({
  unit,
  slot,
  fittedOn,
  due,
  address,
}: {
  unit: Unit;
  slot: FilterSlot;
  fittedOn: PlainDate;
  due: PlainDate | null;
  address: string;
}) {
  const code = QRCode.create(address, { errorCorrectionLevel: "M" }).modules;
  return (
    <div className="flex flex-col gap-6">
      <article
        aria-label="Label"
        className="grid w-full max-w-[34rem] grid-cols-[1fr_auto] gap-4 border-4 border-ink bg-surface p-5"
      >
        <div>
          <p className="text-second">{unit.name}</p>
          <p className="figures font-display text-[2.5rem] leading-tight font-bold">
            {slot.filterCount > 1 && `${slot.filterCount} × `}
            {sizeAsPrinted(slot.nominal.text)}
          </p>
          {slot.rating && <p className="text-lg">{ratingWords(slot.rating)}</p>}
        </div>
        <FlowArrow direction={slot.direction} size={104} />
        <dl className="figures col-span-2 grid grid-cols-[7.5rem_1fr] gap-y-1 border-t-2 border-ink pt-3 text-lg">
          <dt>Fitted</dt>
          <dd className="font-semibold">{withYear(fittedOn)}</dd>
          <dt>Next due</dt>
          <dd className="font-semibold">{due ? `about ${withYear(due)}` : "look monthly"}</dd>
          <dt>Arrow</dt>
          <dd>
            {slot.direction === "unknown"
              ? "toward the blower"
              : `${DIRECTION_WORDS[slot.direction]}, toward the blower`}
          </dd>
        </dl>
        <div className="col-span-2 flex items-center gap-4 border-t-2 border-ink pt-3">
          <svg
            role="img"
            aria-label="Code that opens this filter’s page"
            viewBox={`-3 -3 ${code.size + 6} ${code.size + 6}`}
            className="size-24 shrink-0 bg-on-slate fill-slate"
            shapeRendering="crispEdges"
          >
            {Array.from(code.data, (dark, i) =>
              dark ? (
                <rect
                  key={i}
                  x={i % code.size}
                  y={Math.floor(i / code.size)}
                  width="1"
                  height="1"
                />
              ) : null,
            )}
          </svg>
          <p className="text-[0.9375rem]">
            Scan it on a device that can reach this Amber Lintel, and its page opens.
          </p>
        </div>
      </article>
      <PrintButton />
    </div>
  );
}
