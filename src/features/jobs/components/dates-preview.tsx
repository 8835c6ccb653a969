import type { JobDates } from "../job-dates";

/** What saving would make of the dates, before it is done. */
export function DatesPreview({ dates }: { dates: JobDates | null }) {
  return (
    <p role="status" className="figures mt-3 border-l-4 border-ink bg-surface px-4 py-2.5">
      {dates === null ? (
        <span className="text-second">What it makes of the dates shows here.</span>
      ) : (
        <>
          Saved, it is due{" "}
          <strong>
            {dates.due || (dates.look ? "at the first grey look" : "only when called for")}
          </strong>
          {dates.window && <span className="text-second">, {dates.window}</span>}
          {dates.look && `; a look ${dates.look}`}
          {dates.moved && `; ${dates.moved}`}
          {dates.rounds > 0 && (
            <span className="text-second">
              ; {dates.rounds === 1 ? "once" : `${dates.rounds} times`} in two years
            </span>
          )}
          .
        </>
      )}
    </p>
  );
}
