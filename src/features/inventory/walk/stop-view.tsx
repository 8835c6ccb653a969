import { Link } from "@/ui/link";
import { shortKindName, unitKind } from "@/content/unit-kinds";
import { MAINS_STOP } from "@/core/inventory/first-walk";
import { slotTitle } from "@/presentation/slot-words";
import { emptyForm } from "@/lib/forms";
import { LinkButton } from "@/ui/button";
import { UnitFigure } from "@/ui/unit-figure";
import { mainShelves } from "../homes/main-pictures";
import { PictureShelf } from "../units/picture-shelf";
import { PlaceForm, type FindRow } from "./place-form";
import { keepStop, seeMains, seePast, seePlace } from "./walk-actions";
import { MainsStop, PastStop } from "./walk-forms";
import { isDated } from "./walk-form";
import { placeName, type AskedFind, type StopPage } from "./walk-queries";
import { stopCount } from "./walk-view";

const rowOf = (find: AskedFind): FindRow => {
  const { id, name, hint, figure, makes, owners } = find;
  return {
    id,
    name,
    hint,
    figure,
    asks: isDated(find)
      ? "made-on"
      : "slot" in makes
        ? "filter"
        : "part" in makes
          ? "where"
          : "nothing",
    ...("slot" in makes ? { media: makes.slot.media } : {}),
    owners: owners.map((unit) => ({ value: unit.id, label: unit.name })),
    orElse: "at" in makes ? `${shortKindName(makes.at[0])}, not entered yet` : "",
  };
};

const INTROS = {
  mains: "First of all: what shuts off the whole house. Look, touch nothing, write it down.",
  past: "A house keeps what went on in it: in its ducts, and on its coil.",
  inside: "Turn round once: walls, ceiling, floor, behind the doors. Tick what is here.",
  outdoors: "Round the house once, along the walls. Tick what is here.",
} as const;

/** One stop of the walk: what to look for, and what was found. */
export function StopView({ page }: { page: StopPage }) {
  const { snapshot, walk, stop, pictures, ofMains, initial, place, today } = page;
  const { home } = snapshot;
  const intro =
    place === null
      ? INTROS[stop === MAINS_STOP ? "mains" : "past"]
      : INTROS[place.level.place === "outdoors" ? "outdoors" : "inside"];
  const title =
    (place && placeName(place)) ?? (stop === MAINS_STOP ? "The main shut-offs" : "What was before");
  const common = { initial: emptyForm(initial), keep: keepStop.bind(null, home.id, stop) };
  return (
    <div className="grid gap-x-12 gap-y-6 wide:grid-cols-[minmax(0,1fr)_17rem]">
      <div className="min-w-0">
        <p className="text-second">
          <Link href={`/homes/${home.id}/walk`} className="text-link underline underline-offset-4">
            The first walk
          </Link>
          {`: ${[place?.room && place.level.name, stopCount(walk, stop)].filter(Boolean).join(", ")}`}
        </p>
        <h1 className="text-[1.75rem]">{title}</h1>
        <p className="mb-5 max-w-prose text-second">{intro}</p>
        {place ? (
          <PlaceForm
            key={`${stop} ${place.machines.length}`}
            {...common}
            action={seePlace.bind(null, home.id, stop)}
            likely={place.likely.map(rowOf)}
            others={place.others.map(rowOf)}
            asks={place.room ? "air" : place.level.place === "outdoors" ? "nothing" : "rooms"}
            unit={home.unitSystem === "us" ? "in" : "mm"}
            today={today}
          />
        ) : ofMains ? (
          <MainsStop
            {...common}
            action={seeMains.bind(null, home.id)}
            pictures={mainShelves(home.id, ofMains)}
          />
        ) : (
          <PastStop {...common} action={seePast.bind(null, home.id)} today={today} />
        )}
      </div>
      <aside className="flex flex-col gap-6">
        {place && place.machines.length + place.slots.length > 0 && (
          <section className="border-t-[3px] border-ink pt-3">
            <h2 className="text-lg">Entered here</h2>
            <ul>
              {place.slots.map((slot) => (
                <li key={slot.id} className="border-b border-rule">
                  <Link
                    href={`/homes/${home.id}/parts/${slot.id}`}
                    className="flex min-h-12 items-center gap-3 py-1.5 no-underline hover:underline"
                  >
                    <UnitFigure figure="grille" size={32} />
                    <span>{slotTitle(slot)}</span>
                  </Link>
                </li>
              ))}
              {place.machines.map((unit) => (
                <li key={unit.id} className="border-b border-rule">
                  <Link
                    href={`/homes/${home.id}/units/${unit.id}${unit.setUpStep ? `/set-up/${unit.setUpStep}` : ""}`}
                    className="flex min-h-12 items-center gap-3 py-1.5 no-underline hover:underline"
                  >
                    <UnitFigure figure={unitKind(unit.kind).figure} size={32} />
                    <span>
                      {unit.name}
                      {unit.setUpStep && <span className="text-second">, half entered</span>}
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        )}
        {(place || pictures.length > 0) && (
          <section className="border-t-[3px] border-ink pt-3">
            <h2 className="text-lg">Pictures</h2>
            {place && (
              <p className="text-second">Grilles, plates, where a valve hides: what one forgets.</p>
            )}
            <PictureShelf homeId={home.id} about={{ stop }} pictures={pictures} words={title} />
          </section>
        )}
        <div className="-ml-2">
          <LinkButton weight="quiet" href={`/homes/${home.id}/walk`}>
            Leave the rest for another day
          </LinkButton>
        </div>
      </aside>
    </div>
  );
}
