import { area } from "d3-shape";
import { scaleLinear } from "d3-scale";
import { toDay, civil, addDays, type PlainDate } from "@/core/quantities/plain-date";
import { MONTHS, dayAndMonth } from "@/core/quantities/words";
import type { Lintel as WholeLintel } from "@/core/timeline/lintel";
import { along } from "@/presentation/along";
import { hasRoom, KEYSTONE_HALF, placedNotches, type PlacedNotch } from "./beam-layout";

type Lintel = Omit<WholeLintel, "pegs">;

const HOURS_OF_DAY = 24;
/** The beam shows up to this many hours; a ridge that used the whole day would meet its mirror image. */
const TALLEST_HOURS = 18;

/** A mountain of hours over days, rising from the foot of the beam or hanging from its top. */
function ridge(hours: readonly number[], fromTop: boolean): string {
  const base = fromTop ? 0 : 100;
  const height = scaleLinear([0, TALLEST_HOURS], fromTop ? [0, 100] : [100, 0]);
  const draw = area<{ x: number; h: number }>()
    .x(({ x }) => x)
    .y0(base)
    .y1(({ h }) => height(Math.min(h, HOURS_OF_DAY)))
    .digits(1);
  const days = hours.map((h, i) => ({ x: i + 0.5, h }));
  const edge = (x: number, h: number | undefined) => ({ x, h: h ?? 0 });
  return draw([edge(0, hours[0]), ...days, edge(hours.length, hours.at(-1))]) ?? "";
}

function monthStarts(lintel: Lintel, zoom: number): { date: PlainDate; label: string }[] {
  const starts = [];
  for (let date = lintel.from; date <= lintel.to; date = addDays(date, 1)) {
    const { year, month, day } = civil(toDay(date));
    const label = `${MONTHS[month - 1]!.slice(0, 3)}${month === 1 ? ` ${year}` : ""}`;
    if (day === 1 && hasRoom(lintel, zoom, date, label)) starts.push({ date, label });
  }
  return starts;
}

/** The beam itself: hours of heating rising from its base, of cooling hanging from its top. */
export function Beam({ lintel, zoom }: { lintel: Lintel; zoom: number }) {
  return (
    <>
      <svg
        aria-hidden="true"
        viewBox={`0 0 ${lintel.heating.length} 100`}
        preserveAspectRatio="none"
        className="absolute inset-0 h-full w-full"
      >
        <path d={ridge(lintel.heating, false)} className="fill-heating" />
        <path d={ridge(lintel.cooling, true)} className="fill-cooling" />
      </svg>
      {monthStarts(lintel, zoom).map(({ date, label }) => (
        <span
          key={date}
          aria-hidden="true"
          style={{ left: `${along(lintel, date)}%` }}
          className="absolute inset-y-0 border-l border-rule pt-1 pl-2 text-[0.8125rem] leading-tight font-semibold whitespace-nowrap"
        >
          {label}
        </span>
      ))}
      {placedNotches(lintel, zoom).map((notch) => (
        <NotchMark key={`${notch.season} ${notch.date}`} lintel={lintel} notch={notch} />
      ))}
    </>
  );
}

/** A turn of the year: a notch in the beam's base, its word beside it where there is room. */
function NotchMark({ lintel, notch }: { lintel: Lintel; notch: PlacedNotch }) {
  const { date, season, side, row, isBehind, nudge } = notch;
  const at = isBehind ? along(lintel, lintel.today) : along(lintel, date);
  const moved = isBehind ? 0 : nudge;
  const apart = isBehind ? KEYSTONE_HALF : 8;
  return (
    <>
      <svg
        aria-hidden="true"
        viewBox="0 0 12 10"
        style={{ left: `calc(${along(lintel, date)}% + ${nudge}px)` }}
        className="absolute bottom-0 h-2.5 w-3 -translate-x-1.5 fill-ink"
      >
        <path d="M6 0 L12 10 H0 Z" />
      </svg>
      {side && (
        <span
          title={`${season}, about ${dayAndMonth(date, lintel.today)}`}
          data-row={row}
          data-side={side}
          style={{ left: `calc(${at}% + ${moved}px)`, paddingInline: apart }}
          className="absolute bottom-0 hidden pb-0.5 text-[0.8125rem] leading-none whitespace-nowrap data-[row=1]:pb-4 data-[side=left]:-translate-x-full wide:inline"
        >
          {season}
        </span>
      )}
    </>
  );
}
