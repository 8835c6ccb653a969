import { Link } from "@/ui/link";
import type { BreakdownRow } from "./breakdown-queries";

/** Each with its weather, what was found, and what would have prevented it: a few in many years. */
export function BreakdownList({ homeId, rows }: { homeId: string; rows: readonly BreakdownRow[] }) {
  return (
    <ul className="border-t-[3px] border-ink">
      {rows.map(({ id, when, unit, words, why, weather, lesson, daysWithout, cost }) => (
        <li
          key={id}
          className="grid gap-x-6 gap-y-1 border-b border-rule py-3 wide:grid-cols-[9rem_minmax(0,1fr)_9rem]"
        >
          <p className="figures">
            <Link href={`/homes/${homeId}/breakdowns/${id}`} className="font-semibold text-link">
              {when}
            </Link>
          </p>
          <div>
            <p>
              <strong>{unit}.</strong> {words}
            </p>
            <p className="text-second">{[weather, why].filter(Boolean).join("; ")}.</p>
            {lesson && <p>{lesson}</p>}
          </div>
          <p className="figures wide:text-right">
            {[daysWithout && `${daysWithout} without`, cost].filter(Boolean).join(", ")}
          </p>
        </li>
      ))}
    </ul>
  );
}
