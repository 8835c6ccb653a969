import { Link } from "@/ui/link";
import { Needle } from "@/ui/needle";
import type { BeforeAfterRow, ReadingSeries } from "./readings-queries";
import { ReadingChart } from "./reading-chart";
import { ReadingList } from "./reading-list";

/** What was read at a place over the years: verdicts, where it is going, its limits. */
export function ReadingSection({
  homeId,
  place,
  series,
  beforeAfter = [],
}: {
  homeId: string;
  /** The part or unit, as the form to add one is told. */
  place: string;
  series: readonly ReadingSeries[];
  /** What cleanings changed, where that could be seen. */
  beforeAfter?: readonly BeforeAfterRow[];
}) {
  return (
    <section aria-labelledby="readings">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 border-b-[3px] border-ink pb-1">
        <h2 id="readings" className="text-xl">
          Readings
        </h2>
        <Link
          href={`/homes/${homeId}/reading?place=${place}`}
          className="text-link underline underline-offset-4"
        >
          Note a reading
        </Link>
      </div>
      {series.length === 0 && <p className="mt-3 text-second">None yet.</p>}
      {series.map((each) => (
        <Series key={each.kind} series={each} />
      ))}
      {beforeAfter.length > 0 && <BeforeAfter rows={beforeAfter} />}
    </section>
  );
}

/** So many cleanings are shown; older ones are in the record. */
const MOST_CLEANINGS = 4;

/** Each cleaning with a value from before and one from after it. */
function BeforeAfter({ rows }: { rows: readonly BeforeAfterRow[] }) {
  return (
    <div className="mt-4">
      <h3 className="text-base font-semibold">Before and after</h3>
      <ul>
        {rows.slice(0, MOST_CLEANINGS).map(({ key, done, name, before, after }) => (
          <li
            key={key}
            className="grid grid-cols-2 gap-x-4 border-t border-rule py-2 wide:grid-cols-[minmax(0,1fr)_10rem_10rem]"
          >
            <p className="col-span-2 wide:col-span-1">
              {done}
              <span className="block text-second">{name}</span>
            </p>
            {[before, after].map(({ words, when, verdict }) => (
              <p key={when + words} className="figures flex items-start gap-2">
                <Needle verdict={verdict} size={20} />
                <span>
                  <strong>{words}</strong>
                  <span className="block text-second">{when}</span>
                </span>
              </p>
            ))}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** More than this many points make a line worth drawing. */
const LEAST_POINTS = 2;

function Series({ series }: { series: ReadingSeries }) {
  const { kind, name, verdict, advice, rows, points, visits, limits, trend } = series;
  const last = rows.at(-1)!;
  return (
    <article className="border-b border-rule py-3">
      <div className="flex items-start gap-3">
        <Needle verdict={verdict} />
        <div>
          <h3 className="text-base font-semibold">
            {name}: {last.words}
            <span className="font-normal text-second">, {last.when}</span>
          </h3>
          <p className="text-second">
            {[advice && `To do: ${advice}.`, trend && `${trend.sentence}`]
              .filter(Boolean)
              .join(" ")}
          </p>
          {trend?.drifting && <p className="font-medium text-attention-text">{trend.drifting}</p>}
        </div>
      </div>
      {points.length >= LEAST_POINTS && (
        <ReadingChart
          data={{ points, visits, low: limits.low, high: limits.high }}
          label={`${name} over the years`}
        />
      )}
      <details className="mt-1" open={points.length < LEAST_POINTS && rows.length > 1}>
        <summary className="inline-flex min-h-11 cursor-pointer items-center text-link underline underline-offset-4">
          {rows.length === 1 ? "As a table" : `All ${rows.length} as a table`}
        </summary>
        <ReadingList label={`${name}, each reading`} name={kind} rows={rows.toReversed()} />
      </details>
    </article>
  );
}
