import { daysFrom, toDay, civil, addDays, type PlainDate } from "@/core/quantities/plain-date";
import { MONTHS, dayAndMonth } from "@/core/quantities/words";
import type { Lintel, Notch } from "@/core/register/lintel";

const HOURS_OF_DAY = 24;
/** The beam shows up to this many hours; a ridge that used the whole day would meet its mirror image. */
const TALLEST_HOURS = 18;

/** Where a day lies along the beam, percent of its length. */
export const along = (lintel: Lintel, date: PlainDate): number =>
  (100 * (daysFrom(lintel.from, date) + 0.5)) / (daysFrom(lintel.from, lintel.to) + 1);

function ridge(hours: readonly number[], fromTop: boolean): string {
  const y = (h: number) => {
    const share = Math.min(h, HOURS_OF_DAY) / TALLEST_HOURS;
    return (fromTop ? 100 * share : 100 - 100 * share).toFixed(1);
  };
  const base = fromTop ? 0 : 100;
  const points = hours.map((h, i) => `${i + 0.5} ${y(h)}`);
  return `M0 ${base} L0 ${y(hours[0] ?? 0)} L${points.join(" L")} L${hours.length} ${y(hours.at(-1) ?? 0)} L${hours.length} ${base} Z`;
}

/** A month's word this near before today would run under the keystone. */
const KEYSTONE_DAYS = 18;

function monthStarts(lintel: Lintel, zoom: number): { date: PlainDate; label: string }[] {
  const starts = [];
  for (let date = lintel.from; date <= lintel.to; date = addDays(date, 1)) {
    const { year, month, day } = civil(toDay(date));
    const before = daysFrom(date, lintel.today) * zoom;
    if (day === 1 && !(before > -KEYSTONE_DAYS / 3 && before < KEYSTONE_DAYS))
      starts.push({
        date,
        label: `${MONTHS[month - 1]!.slice(0, 3)}${month === 1 ? ` ${year}` : ""}`,
      });
  }
  return starts;
}

/** Words of this many days' length would run into the next notch. */
const WORDS_DAYS = 40;

/** The notches in order, every one too near its neighbour a row higher. */
function stepped(lintel: Lintel, zoom: number): (Notch & { row: number })[] {
  let row = 0;
  return [...lintel.notches]
    .sort((a, b) => (a.date < b.date ? -1 : 1))
    .map((notch, i, all) => {
      const before = all[i - 1];
      const near = before && daysFrom(before.date, notch.date) < WORDS_DAYS / zoom;
      row = near ? 1 - row : 0;
      return { ...notch, row };
    });
}

/** The beam itself: hours of heating rising from its base, of cooling hanging from its top. */
export function Beam({ lintel, zoom }: { lintel: Lintel; zoom: number }) {
  const notches = stepped(lintel, zoom);
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
      {notches.map(({ date, season, row }) => (
        <span
          key={`${season} ${date}`}
          style={{ left: `${along(lintel, date)}%` }}
          title={`${season}, about ${dayAndMonth(date, lintel.today)}`}
          className="absolute bottom-0 flex -translate-x-1.5 items-end gap-1 text-[0.8125rem] leading-none whitespace-nowrap"
        >
          <svg aria-hidden="true" viewBox="0 0 12 10" className="h-2.5 w-3 shrink-0 fill-ink">
            <path d="M6 0 L12 10 H0 Z" />
          </svg>
          <span
            data-row={row}
            className="hidden pb-0.5 data-[row=1]:-ml-1.5 data-[row=1]:pb-4 wide:inline"
          >
            {season}
          </span>
        </span>
      ))}
    </>
  );
}
