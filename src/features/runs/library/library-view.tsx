import { Link } from "@/ui/link";
import { JOB_SEASONS, SEASON_WORDS, type JobSeason } from "@/presentation/job-season";
import { QUALIFICATION_WORDS } from "@/presentation/task-words";
import { capitalised, listWords } from "@/core/quantities/words";
import type { LibraryGroup, LibraryRow } from "./library-queries";

/** Every job there is, by machine: to read, to print, and to open one. */
export function LibraryView({
  homeId,
  homeName,
  groups,
  season,
}: {
  homeId: string;
  homeName: string;
  groups: readonly LibraryGroup[];
  /** Of which season only; all where none is chosen. */
  season: JobSeason | null;
}) {
  const shown = groups.flatMap(({ name, rows }) => {
    const some = rows.filter(({ seasons }) => season === null || seasons.includes(season));
    return some.length > 0 ? [{ name, rows: some }] : [];
  });
  return (
    <div className="flex flex-col gap-7">
      <nav aria-label="Season" className="no-print flex flex-wrap gap-x-1">
        {[null, ...JOB_SEASONS].map((each) => (
          <Link
            key={each ?? "all"}
            href={each ? `?season=${each}` : "?"}
            aria-current={season === each ? "page" : undefined}
            className="flex min-h-11 items-center border-b-[3px] border-transparent px-2.5 text-second no-underline aria-[current=page]:border-attention aria-[current=page]:font-semibold aria-[current=page]:text-ink"
          >
            {each ? capitalised(SEASON_WORDS[each]) : "Every season"}
          </Link>
        ))}
      </nav>
      {shown.map(({ name, rows }) => (
        <section key={name} aria-label={name}>
          <h2 className="border-b-[3px] border-ink text-xl">{name}</h2>
          <ul>
            {rows.map((row) => (
              <Row key={row.id} {...{ homeId, homeName, row }} />
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

function Row({
  homeId,
  homeName,
  row: { id, title, who, handsOn, waiting, seasons, tools, places },
}: {
  homeId: string;
  homeName: string;
  row: LibraryRow;
}) {
  return (
    <li className="grid break-inside-avoid gap-x-8 gap-y-0.5 border-b border-rule py-2.5 wide:grid-cols-[minmax(0,1fr)_15rem_minmax(0,1fr)]">
      <div>
        <Link
          href={`/homes/${homeId}/procedures/${id}`}
          className="text-lg font-semibold underline decoration-1 underline-offset-4"
        >
          {title}
        </Link>
        <p className="text-second">
          {places.length > 0
            ? capitalised(listWords(places))
            : `Nothing of the kind at ${homeName}`}
        </p>
      </div>
      <p>
        <span className="figures font-semibold">{handsOn} min</span>
        {waiting > 0 && <span className="figures">, {waitWords(waiting)} waiting</span>}
        <span className="block text-second">
          {seasons.map((each) => SEASON_WORDS[each]).join(", ")}, {QUALIFICATION_WORDS[who].name}
        </span>
      </p>
      <p className="text-second">{tools.length > 0 ? tools.join(", ") : "nothing to bring"}</p>
    </li>
  );
}

const MINUTES_PER_HOUR = 60;
const LONG_HOURS = 24;
const waitWords = (minutes: number): string => {
  const hours = minutes / MINUTES_PER_HOUR;
  if (hours >= LONG_HOURS) return `${Math.round(hours / LONG_HOURS)} days’`;
  return hours >= 2 ? `${Math.round(hours)} h` : `${minutes} min`;
};
