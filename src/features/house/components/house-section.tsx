import Link from "next/link";
import type { Level } from "@/core/register/register";
import { Bracket } from "@/ui/bracket";
import { Gauge } from "@/ui/gauge";
import { UnitFigure } from "@/ui/unit-figure";
import type { House, HouseUnit } from "../house-queries";

/** On a phone: the levels from top to bottom, each with its units. */
export function LevelList({ house }: { house: House }) {
  const used = house.levels.filter((level) =>
    house.units.some((unit) => unit.levelId === level.id),
  );
  return (
    <div className="wide:hidden">
      {used.map((level) => (
        <section key={level.id} className="border-t-[3px] border-ink pt-3 pb-5">
          <h2 className="mb-2 text-lg">{level.name}</h2>
          <Units
            house={house}
            units={house.units.filter((unit) => unit.levelId === level.id)}
            small={false}
            stacked
          />
        </section>
      ))}
    </div>
  );
}

/**
 * A cut through the house: its levels from loft to cellar under one roof, each unit where it
 * stands, what stands outdoors or in an outbuilding beside it.
 */
export function HouseSection({ house, small = false }: { house: House; small?: boolean }) {
  const inside = house.levels.filter((level) => level.place === "inside");
  const beside = house.levels.filter((level) => level.place !== "inside");
  const groundAt = inside.findIndex((level) => level.storey < 0);
  const above = groundAt === -1 ? inside : inside.slice(0, groundAt);
  const below = groundAt === -1 ? [] : inside.slice(groundAt);
  const on = (levelId: string) => house.units.filter((unit) => unit.levelId === levelId);
  const storeys = (levels: Level[]) =>
    levels.map((level, i) => (
      <Storey
        key={level.id}
        {...{ house, small }}
        name={level.name}
        units={on(level.id)}
        first={i === 0}
      />
    ));
  const shown = small ? beside.filter((level) => on(level.id).length > 0) : beside;
  return (
    <div
      data-small={small || undefined}
      className="group/house hidden items-end gap-x-3 wide:grid wide:grid-cols-[minmax(11rem,1fr)_auto]"
    >
      <div>
        <Roof />
        <div className="border-x-4 border-ink bg-surface">{storeys(above)}</div>
      </div>
      <div className="flex items-end gap-2">
        {shown.map((level) => (
          <div key={level.id} className="flex flex-col items-center">
            {level.place === "outbuilding" && <Roof low />}
            <div
              data-place={level.place}
              className="flex min-w-20 flex-col items-center gap-2 px-2 pt-1 data-[place=outbuilding]:border-x-4 data-[place=outbuilding]:border-ink data-[place=outbuilding]:bg-surface wide:px-3"
            >
              <p className="text-sm text-second">{level.name}</p>
              <Units {...{ house, small }} units={on(level.id)} stacked />
            </div>
          </div>
        ))}
      </div>
      <div className="col-span-2 border-t-4 border-ink" />
      {below.length > 0 && (
        <>
          <div className="border-x-4 border-b-4 border-ink bg-surface">{storeys(below)}</div>
          <Earth />
        </>
      )}
    </div>
  );
}

function Roof({ low = false }: { low?: boolean }) {
  return (
    <svg
      aria-hidden="true"
      viewBox="0 0 200 40"
      preserveAspectRatio="none"
      className={`block w-full overflow-visible ${low ? "h-6" : "h-14 group-data-small/house:h-10"}`}
    >
      <path
        d="M0 40 L100 2 L200 40"
        className="fill-surface stroke-ink"
        strokeWidth="4"
        vectorEffect="non-scaling-stroke"
        strokeLinejoin="round"
      />
    </svg>
  );
}

/** Hatched ground beside what lies below it. */
function Earth() {
  return (
    <div
      aria-hidden="true"
      className="self-stretch bg-[repeating-linear-gradient(135deg,var(--color-rule)_0_2px,transparent_2px_12px)]"
    />
  );
}

function Storey({
  house,
  name,
  units,
  first,
  small,
}: {
  house: House;
  name: string;
  units: HouseUnit[];
  first: boolean;
  small: boolean;
}) {
  return (
    <div
      data-first={first || undefined}
      className="flex min-h-24 items-end gap-4 border-t-[3px] border-ink px-3 pt-2 pb-2 group-data-small/house:min-h-14 group-data-small/house:gap-2 data-first:border-t-0"
    >
      <p className="w-12 shrink-0 self-start text-sm leading-tight text-second group-data-small/house:w-12 wide:w-16">
        {name}
      </p>
      <Units {...{ house, units, small }} />
    </div>
  );
}

function Units({
  house,
  units,
  small,
  stacked = false,
}: {
  house: House;
  units: HouseUnit[];
  small: boolean;
  stacked?: boolean;
}) {
  return (
    <ul
      data-stacked={stacked || undefined}
      className="flex flex-wrap items-end gap-x-6 gap-y-2 data-stacked:flex-col data-stacked:items-start"
    >
      {units.map((unit) => (
        <li key={unit.id}>
          <Link
            href={`/homes/${house.homeId}/units/${unit.id}`}
            aria-label={small ? `${unit.name}: ${unit.words}` : undefined}
            className="group flex min-h-11 min-w-11 items-end gap-2 no-underline"
          >
            {unit.open && <Bracket height={small ? 36 : 60} />}
            <UnitFigure figure={unit.figure} size={small ? 40 : 68} />
            {unit.fill !== null && (
              <Gauge fill={unit.fill} label={unit.fillWords} height={small ? 28 : 48} />
            )}
            {!small && (
              <span className="mb-1 max-w-40">
                <strong className="block leading-tight group-hover:underline">{unit.name}</strong>
                <span className={unit.speaksUp ? "font-medium text-attention-text" : "text-second"}>
                  {unit.words}
                </span>
              </span>
            )}
          </Link>
        </li>
      ))}
    </ul>
  );
}
