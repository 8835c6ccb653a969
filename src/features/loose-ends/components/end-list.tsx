import { END_WORDS } from "@/content/words";
import { hoursBetween } from "@/core/quantities/plain-date";
import type { HomeEnd, HomeEnds } from "@/core/register/home-ends";
import { Bracket } from "@/ui/bracket";
import { Button, LinkButton } from "@/ui/button";
import { closeEnd } from "../loose-ends-actions";

type Place = { unitName: string; partName: string | undefined };

function sinceWords(since: string, now: string): string {
  const hours = hoursBetween(Date.parse(since), Date.parse(now));
  if (hours < 1) return "since just now";
  if (hours < 36) return `for ${Math.round(hours)} h`;
  return `for ${Math.round(hours / 24)} days`;
}

function dryingWords(readyAt: string, now: string): string {
  const hours = hoursBetween(Date.parse(now), Date.parse(readyAt));
  return hours < 1 ? "less than an hour left" : `${Math.round(hours)} h left`;
}

/** What is open, in the order in which it is to be put right. */
export function EndList({
  homeId,
  ends,
  now,
  placeOf,
}: {
  homeId: string;
  ends: HomeEnds;
  now: string;
  placeOf: (unitId: string, partId: string | undefined) => Place;
}) {
  const ordered = ends.order.flatMap((id) => ends.open.find((end) => end.id === id) ?? []);
  if (ordered.length === 0) return null;
  return (
    <ul id="left-open" aria-label="Left open" className="flex flex-col gap-2">
      {ordered.map((end) => {
        const { unitName, partName } = placeOf(end.unit, end.part);
        const details = [
          partName,
          end.isDrying && end.readyAt ? dryingWords(end.readyAt, now) : sinceWords(end.since, now),
          end.words && `“${end.words}”`,
        ];
        return (
          <li
            key={end.id}
            data-end={end.end}
            className="flex flex-wrap items-center gap-x-4 gap-y-2 bg-wash py-3 pr-4 pl-3"
          >
            <Bracket />
            <div className="min-w-0 grow basis-52">
              <p className="font-semibold">
                {unitName}: {END_WORDS[end.end].open}
              </p>
              <p className="text-ink">{details.filter(Boolean).join(", ")}</p>
            </div>
            <EndAct homeId={homeId} end={end} />
          </li>
        );
      })}
    </ul>
  );
}

function EndAct({ homeId, end }: { homeId: string; end: HomeEnd }) {
  if (end.runId) return <LinkButton href={`/runs/${end.runId}`}>Carry on</LinkButton>;
  if (end.isDrying) return <p>Not before it is dry</p>;
  if (end.blockedBy.length > 0) return <p>First what is open in it</p>;
  return (
    <form action={closeEnd}>
      <input type="hidden" name="homeId" value={homeId} />
      <input type="hidden" name="endId" value={end.id} />
      <Button type="submit">{END_WORDS[end.end].close}: done</Button>
    </form>
  );
}
