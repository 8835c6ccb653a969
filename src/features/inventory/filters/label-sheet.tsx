import QRCode from "qrcode";
import { DIRECTION_WORDS } from "@/content/words";
import { sizeToBuy } from "@/presentation/slot-words";
import { ratingWords } from "@/core/quantities/rating";
import { longDate } from "@/core/quantities/words";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { FilterSlot } from "@/core/inventory/inventory";
import { FlowArrow } from "@/ui/flow-arrow";
import { PrintButton } from "@/ui/print-button";
import type { Label } from "./label-queries";

const withYear = (date: PlainDate) => `${longDate(date)} ${date.slice(0, 4)}`;

/** A label to stick on: what it is, since when, the next due day, and a code that opens its page. */
export async function LabelSheet({
  label,
  address,
}: {
  label: Label;
  /** Of its page, as another device finds it; null where none would. */
  address: string | null;
}) {
  const { unit, doneOn, due } = label;
  const code = address && QRCode.create(address, { errorCorrectionLevel: "M" }).modules;
  const rows: [string, string][] = [
    [label.kind === "slot" ? "Fitted" : label.done, doneOn ? withYear(doneOn) : "not recorded yet"],
    [
      "Next due",
      due ? `about ${withYear(due)}` : label.kind === "slot" ? "look monthly" : "as it shows",
    ],
    ...(label.kind === "slot" ? [["Arrow", arrowWords(label.slot)] as [string, string]] : []),
  ];
  return (
    <div className="flex flex-col gap-6">
      <article
        aria-label="Label"
        className="grid w-full max-w-[34rem] grid-cols-[1fr_auto] gap-4 border-4 border-ink bg-surface p-5"
      >
        <div>
          <p className="text-second">{unit.name}</p>
          <p className="figures font-display text-[2.5rem] leading-tight font-bold">
            {label.kind === "part" ? label.part.name : (sizeToBuy(label.slot) ?? label.slot.name)}
          </p>
          {label.kind === "slot" && label.slot.rating && (
            <p className="text-lg">{ratingWords(label.slot.rating)}</p>
          )}
        </div>
        {label.kind === "slot" && <FlowArrow direction={label.slot.direction} size={104} />}
        <dl className="figures col-span-2 grid grid-cols-[7.5rem_1fr] gap-y-1 border-t-2 border-ink pt-3 text-lg">
          {rows.map(([name, value]) => (
            <div key={name} className="col-span-2 grid grid-cols-subgrid">
              <dt>{name}</dt>
              <dd className="font-semibold">{value}</dd>
            </div>
          ))}
        </dl>
        {label.kind === "slot" && label.why && (
          <p className="figures col-span-2 text-[0.9375rem]">{label.why}</p>
        )}
        {code && (
          <div className="col-span-2 flex items-center gap-4 border-t-2 border-ink pt-3">
            <svg
              role="img"
              aria-label="Code that opens its page"
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
        )}
      </article>
      {!code && (
        <p className="no-print max-w-prose text-second">
          No code is printed yet, because phones cannot reach the address this page was opened at.
          Open Amber Lintel by this computer’s name in your network, or set AMBER_PUBLIC_URL, and
          print the label again.
        </p>
      )}
      <PrintButton />
    </div>
  );
}

const arrowWords = ({ direction }: FilterSlot): string =>
  direction === "unknown"
    ? "toward the blower"
    : `${DIRECTION_WORDS[direction]}, toward the blower`;
