import { useDraggable } from "@dnd-kit/core";
import type { ReactNode } from "react";
import type { PlainDate } from "@/core/quantities/plain-date";
import { dateWords } from "@/core/quantities/words";
import { along } from "@/presentation/along";
import { standsFor } from "./kept-focus";
import type { Chosen, Grouped } from "./year-drag";
import type { YearPage } from "./year-queries";

export type Stretch = Pick<YearPage, "from" | "to">;
/** What is being dragged: some occurrences, and where they would be dropped now. */
export type Lifted = {
  id: string;
  of: Grouped["of"];
  person: string;
  isRound: true | undefined;
  from: PlainDate;
  to: PlainDate;
};
export type Priced = { to: PlainDate; words: string; minutes: string };

/** What everything that can be lifted is drawn by. */
export type Lifting = {
  stretch: Stretch;
  today: PlainDate;
  lifted: Lifted | null;
  priced: Priced | null;
  /** There is a plan in which it could be moved. */
  canMove: boolean;
  onChoose: (chosen: Chosen) => void;
};

/** Something that can be pressed, lifted and dropped on another day; the price stands beside it. */
export function Liftable({
  data,
  row,
  lifting: { stretch, lifted, priced, canMove },
  label,
  top,
  isVisit,
  className,
  onPress,
  children,
}: {
  data: Grouped;
  /** What the arrow keys walk along. */
  row: string;
  lifting: Lifting;
  label: string;
  top: string;
  isVisit?: boolean;
  className: string;
  onPress: () => void;
  children: ReactNode;
}) {
  const { attributes, listeners, setNodeRef } = useDraggable({
    id: data.id,
    data,
    // What only puts something back follows from the day it was taken out.
    disabled: !canMove || data.of.length === 0,
  });
  const isLifted = lifted?.id === data.id;
  const hasGone = isLifted && lifted.to !== lifted.from;
  const left = along(stretch, isLifted ? lifted.to : data.day);
  return (
    <>
      <button
        ref={setNodeRef}
        type="button"
        {...attributes}
        {...listeners}
        role={undefined}
        title={label}
        data-mark=""
        {...standsFor(data)}
        data-row={row}
        data-visit={isVisit || undefined}
        data-lifted={isLifted || undefined}
        onClick={onPress}
        // It stays where it was taken from: what is dragged is drawn beside it.
        style={{ left: `${along(stretch, data.day)}%`, top }}
        className={`absolute z-[5] touch-none data-lifted:opacity-50 ${className}`}
      >
        <span aria-hidden="true">{children}</span>
        <span className="sr-only">{label}</span>
      </button>
      {isLifted && (
        <span
          aria-hidden="true"
          data-visit={isVisit || undefined}
          style={{ left: `${left}%`, top }}
          className={`pointer-events-none absolute z-30 outline-2 outline-ink outline-dashed ${className}`}
        >
          {children}
        </span>
      )}
      {hasGone && (
        <span
          data-price=""
          data-side={left > 60 ? "left" : "right"}
          style={{ left: `${left}%`, top: `calc(${top} - 0.25rem)` }}
          className="pointer-events-none absolute z-40 w-max max-w-sm border-[1.5px] border-ink bg-surface px-2 py-1 text-[0.9375rem] leading-tight data-[side=left]:-translate-x-[calc(100%+1rem)] data-[side=right]:ml-4"
        >
          <PriceLine {...{ lifted, priced }} />
        </span>
      )}
    </>
  );
}

function PriceLine({ lifted, priced }: { lifted: Lifted; priced: Priced | null }) {
  const isKnown = priced?.to === lifted.to;
  return (
    <>
      <strong>{dateWords(lifted.to, lifted.from)}</strong>
      {isKnown ? `: ${priced.words}` : " …"}
      {isKnown && <span className="block text-second">{priced.minutes}</span>}
    </>
  );
}
