import { END_WORDS } from "@/content/words";
import type { LeftOpen } from "@/core/runs/home-ends";
import { Bracket } from "@/ui/bracket";
import { Button, LinkButton } from "@/ui/button";
import { detailOf, headOf } from "./left-open-words";
import { inSentence } from "@/core/quantities/words";
import { closeEnd, dropRun } from "./loose-ends-actions";
import type { Begun } from "./loose-ends-queries";

type Place = { unitName: string; partName: string | undefined };

/** What is open, in the order in which it is to be put right; all of one run together. */
export function EndList({
  homeId,
  left,
  now,
  placeOf,
}: {
  homeId: string;
  left: readonly LeftOpen[];
  now: string;
  placeOf: (unitId: string, partId: string | undefined) => Place;
}) {
  if (left.length === 0) return null;
  return (
    <ul id="left-open" aria-label="Left open" className="flex flex-col gap-2">
      {left.map((group) => {
        const { unitName, partName } = placeOf(group.unit, group.part);
        // The part is named where its end does not name itself.
        const named = group.ends.some((end) => end.label) ? undefined : partName;
        return (
          <li
            key={group.id}
            data-end={group.drying?.end ?? group.ends[0]?.end}
            className="flex flex-wrap items-center gap-x-4 gap-y-2 bg-wash py-3 pr-4 pl-3"
          >
            <Bracket />
            <div className="min-w-0 grow basis-52">
              <p className="font-semibold">
                {unitName}: {headOf(group, now)}
              </p>
              <p className="text-ink">{[named, detailOf(group, now)].filter(Boolean).join(", ")}</p>
            </div>
            <EndAct homeId={homeId} group={group} />
          </li>
        );
      })}
    </ul>
  );
}

/** Jobs begun and left with nothing open: to go on with, or to drop. */
export function BegunList({
  begun,
  unitNameOf,
}: {
  begun: readonly Begun[];
  unitNameOf: (unitId: string | null) => string;
}) {
  if (begun.length === 0) return null;
  return (
    <ul aria-label="Begun, not finished" className="flex flex-col gap-2">
      {begun.map(({ runId, unitId, title }) => (
        <li
          key={runId}
          className="flex flex-wrap items-center gap-x-4 gap-y-2 border-l-4 border-ink bg-surface py-2 pr-4 pl-3"
        >
          <p className="min-w-0 grow basis-52">
            <strong>{unitNameOf(unitId)}:</strong> {inSentence(title)}, begun, not finished
          </p>
          <LinkButton href={`/runs/${runId}`}>Carry on</LinkButton>
          <form action={dropRun}>
            <input type="hidden" name="runId" value={runId} />
            <Button type="submit" weight="quiet">
              Drop it
            </Button>
          </form>
        </li>
      ))}
    </ul>
  );
}

function EndAct({ homeId, group }: { homeId: string; group: LeftOpen }) {
  const [end] = group.ends;
  if (group.runId) return <LinkButton href={`/runs/${group.runId}`}>Carry on</LinkButton>;
  if (!end || end.isDrying) return <p>Not before it is dry</p>;
  if (end.stopped !== undefined) return <p>It stays off until somebody licensed has looked</p>;
  if (end.blockedBy.length > 0) return <p>First what is open in it</p>;
  return (
    <form action={closeEnd}>
      <input type="hidden" name="homeId" value={homeId} />
      <input type="hidden" name="endId" value={end.id} />
      <Button type="submit">{END_WORDS[end.end].close}: done</Button>
    </form>
  );
}
