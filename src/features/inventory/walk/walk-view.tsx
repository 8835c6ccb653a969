import { englishOf, inEnglish } from "@/content/english";
import { Link } from "@/ui/link";
import { Check } from "lucide-react";
import { unitKind } from "@/content/unit-kinds";
import { MAINS_STOP, PAST_STOP, type FirstWalk, type WalkPlace } from "@/core/inventory/first-walk";
import { MAINS, type Unit } from "@/core/inventory/inventory";
import { countWords, listWords } from "@/core/quantities/words";
import { Bracket } from "@/ui/bracket";
import { LinkButton } from "@/ui/button";
import { UnitFigure } from "@/ui/unit-figure";
import { STEP_WORDS } from "../guided-add/set-up";
import { placeName, walkHref, walkWords, type WalkPage } from "./walk-queries";

const count = (n: number, one: string, many: string) =>
  n === 0 ? "" : `${countWords(n)} ${n === 1 ? one : many}`;

/** The house in section, as one walks through it: what was seen, what is half done, what comes next. */
export function WalkView({ page }: { page: WalkPage }) {
  const { snapshot, walk, isBegun, on } = page;
  const { home } = snapshot;
  const levels = [...new Map(walk.places.map(({ level }) => [level.id, level])).values()];
  return (
    <div className="mx-auto max-w-3xl">
      <h1 className="text-[1.75rem]">The first walk</h1>
      <p className="mt-1 max-w-prose text-second">
        {isBegun
          ? `${walk.seen} of ${walk.total} seen. What was typed is kept: leave it any time, go on another day.`
          : inEnglish(
              englishOf(home),
              "Once round the house with a torch, a step ladder and this phone. Nothing is opened that needs a tool, nothing is switched off.",
            )}
      </p>
      {isBegun && (
        <div
          role="img"
          aria-label={`${walk.seen} of ${walk.total} seen`}
          className="mt-3 flex h-2.5 gap-0.5"
        >
          {walk.stops.map(({ isSeen }, i) => (
            <span
              key={i}
              data-seen={isSeen || undefined}
              className="h-full grow border border-ink data-seen:bg-ink"
            />
          ))}
        </div>
      )}
      <div className="mt-4 mb-6 flex flex-wrap gap-2">
        {on && (
          <LinkButton weight="strong" href={walkHref(home.id, on)}>
            {isBegun ? `Go on: ${walkWords(on, page)}` : "Begin at the main shut-offs"}
          </LinkButton>
        )}
        {(isBegun || !on) && (
          <LinkButton weight={on ? undefined : "strong"} href={`/homes/${home.id}/walk/end`}>
            What comes of it
          </LinkButton>
        )}
      </div>
      <ol>
        <Stop
          href={`/homes/${home.id}/walk/${MAINS_STOP}`}
          name="The main shut-offs"
          isSeen={walk.isMainsSeen}
          found={mainsWords(page)}
          isHeavy
        />
        {levels.map((level) => {
          const places = walk.places.filter((place) => place.level.id === level.id);
          const isSplit = places.length > 1;
          return (
            <li key={level.id} className="border-t-[3px] border-ink pb-2">
              {isSplit && (
                <h2 className="pt-2 pb-0.5 text-[1.0625rem] text-second">{level.name}</h2>
              )}
              <ol
                data-split={isSplit || undefined}
                className="not-data-split:[&>li:first-child>a]:border-t-0"
              >
                {places.map((place) => (
                  <Place
                    key={place.key}
                    {...{ place, page }}
                    name={place.room || !isSplit ? placeName(place) : "Stairs and corners"}
                  />
                ))}
              </ol>
            </li>
          );
        })}
        <Stop
          href={`/homes/${home.id}/walk/${PAST_STOP}`}
          name="What was before"
          isSeen={walk.isPastSeen}
          found="smokers, animals, building work"
          isHeavy
        />
      </ol>
    </div>
  );
}

function mainsWords({ snapshot: { home } }: WalkPage): string {
  const known = MAINS.filter((main) => home.mains?.[main]);
  return known.length > 0 ? listWords(known) : "water, gas, power of the whole house";
}

function Place({ place, page, name }: { place: WalkPlace; page: WalkPage; name: string }) {
  const { snapshot } = page;
  const home = `/homes/${snapshot.home.id}`;
  return (
    <>
      <Stop
        href={`${home}/walk/${place.key}`}
        name={name}
        isSeen={place.isSeen}
        found={foundWords(place, page)}
      />
      {place.machines
        .filter(({ setUpStep }) => setUpStep !== undefined)
        .map((unit) => (
          <Machine key={unit.id} {...{ unit, home }} />
        ))}
    </>
  );
}

/** What stands in a place, in a few words. */
function foundWords({ room, machines }: WalkPlace, { snapshot }: WalkPage): string {
  const here = snapshot.registers.filter(({ roomId }) => room && roomId === room.id);
  const filters = snapshot.slots.filter(({ roomId }) => room && roomId === room.id).length;
  return [
    ...machines.filter(({ setUpStep }) => setUpStep === undefined).map(({ name }) => name),
    count(filters, "filter in a grille or valve", "filters in grilles or valves"),
    count(here.filter(({ role }) => role === "supply").length, "register", "registers"),
    count(here.filter(({ role }) => role === "return").length, "return", "returns"),
  ]
    .filter(Boolean)
    .join(", ");
}

const ROW = "flex min-h-13 items-center gap-3 border-t border-rule py-1.5 no-underline";

function Stop({
  href,
  name,
  isSeen,
  found,
  isHeavy,
}: {
  href: string;
  name: string;
  isSeen: boolean;
  found: string;
  isHeavy?: boolean;
}) {
  return (
    <li data-heavy={isHeavy} className="data-heavy:border-t-[3px] data-heavy:border-ink">
      <Link href={href} className={`${ROW} group`}>
        <span
          data-seen={isSeen || undefined}
          className="flex size-6 shrink-0 items-center justify-center border-2 border-ink data-seen:bg-ink data-seen:text-ground"
        >
          {isSeen && <Check aria-hidden="true" size={16} strokeWidth={3} />}
        </span>
        <span className="min-w-0">
          <strong className="group-hover:underline">{name}</strong>
          <span className="sr-only">{isSeen ? ", seen" : ", not seen yet"}</span>
          {found !== "" && (
            <span className="block text-[0.9375rem] leading-snug text-second">{found}</span>
          )}
        </span>
      </Link>
    </li>
  );
}

function Machine({ unit, home }: { unit: Unit; home: string }) {
  const step = unit.setUpStep!;
  return (
    <li className="pl-9">
      <Link href={`${home}/units/${unit.id}/set-up/${step}`} className={`${ROW} group`}>
        <Bracket height={32} />
        <UnitFigure figure={unitKind(unit.kind).figure} size={36} />
        <span className="min-w-0">
          <strong className="group-hover:underline">{unit.name}</strong>
          <span className="block text-[0.9375rem] leading-snug text-second">
            half entered; next: {STEP_WORDS[step].name.toLowerCase()}
          </span>
        </span>
      </Link>
    </li>
  );
}

/** Where one is on the walk, above a stop. */
export const stopCount = ({ stops }: FirstWalk, stop: string): string => {
  // Machines on the way are entered between two stops, and count as none.
  const places = stops.flatMap(({ on }) => ("stop" in on ? on.stop : []));
  return `stop ${places.indexOf(stop) + 1} of ${places.length}`;
};
