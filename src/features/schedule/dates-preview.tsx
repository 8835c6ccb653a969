import type { JobDates } from "./job-dates-schema";

/** “due in 3 weeks”, “2 weeks over”, or what it would wait for. */
function dueSentence({ due, look }: JobDates): string {
  if (due === "")
    return look ? "due at the first look that finds it dusty" : "due only when called for";
  return due.endsWith("over") ? due : `due ${due}`;
}

/** What saving would make of the dates, before it is done. */
export function DatesPreview({ dates }: { dates: JobDates | null }) {
  return (
    <p role="status" className="figures mt-3 border-l-4 border-ink bg-surface px-4 py-2.5">
      {dates === null ? (
        <span className="text-second">What it makes of the dates shows here.</span>
      ) : (
        <>
          Saved, it would be <strong>{dueSentence(dates)}</strong>
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
