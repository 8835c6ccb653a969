import { Link } from "@/ui/link";
import type { ReactNode } from "react";
import type { PersonRow } from "./people-queries";

/** Who goes round in a home: on which days, what they do, what they leave to others. */
export function PeopleList({
  homeId,
  rows,
  remove,
}: {
  homeId: string;
  rows: readonly PersonRow[];
  remove: (person: PersonRow) => ReactNode;
}) {
  return (
    <ul className="border-t border-rule">
      {rows.map((person) => (
        <li
          key={person.id}
          className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-4 border-b border-rule py-3"
        >
          <div>
            <strong>{person.name}</strong>
            <span className="text-second">
              , {person.jobs} {person.jobs === 1 ? "job" : "jobs"}
            </span>
            <p>{person.days}.</p>
            {person.more.map((line) => (
              <p key={line} className="text-second">
                {line}
              </p>
            ))}
          </div>
          <span className="-mt-2 flex items-start">
            <Link
              href={`/homes/${homeId}/year/people?change=${person.id}`}
              aria-label={`Change: ${person.name}`}
              className="flex min-h-11 items-center px-2 text-link"
            >
              Change
            </Link>
            {person.mayGo && remove(person)}
          </span>
        </li>
      ))}
    </ul>
  );
}
