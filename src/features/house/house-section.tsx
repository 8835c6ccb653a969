"use client";

import { Link } from "@/ui/link";
import type { Level } from "@/core/inventory/inventory";
import { Bracket } from "@/ui/bracket";
import { Gauge } from "@/ui/gauge";
import { UnitFigure } from "@/ui/unit-figure";
import type { DrawnHouse, HouseUnit } from "./house-queries";

/** On a phone: the levels from top to bottom, each with its units. */
export function LevelList({ house }: { house: DrawnHouse }) {
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
            listed
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
export function HouseSection({ house, small = false }: { house: DrawnHouse; small?: boolean }) {
  const inside = house.levels.filter((level) => level.place === "inside");
  const beside = house.levels.filter((level) => level.place !== "inside");
  const groundAt = inside.findIndex((level) => level.storey < 0);
  const above = groundAt === -1 ? inside : inside.slice(0, groundAt);
  const below = groundAt === -1 ? [] : inside.slice(groundAt);
  // The small picture keeps to what wears or stands open.
  const on = (levelId: string) =>
    house.units.filter(
      (unit) => unit.levelId === levelId && (!small || unit.fill !== null || unit.open),
    );
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
      className="group/house hidden items-end gap-x-3 data-small:gap-x-2 wide:grid wide:grid-cols-[minmax(0,1fr)_auto] wide:data-small:grid-cols-[minmax(9rem,1fr)_auto]"
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
              className="flex min-w-16 flex-col items-center gap-2 px-2 pt-1 pb-1 data-[place=outbuilding]:border-x-4 data-[place=outbuilding]:border-ink data-[place=outbuilding]:bg-surface wide:px-3"
            >
              <p className="text-sm text-second">{level.name}</p>
              <Units {...{ house, small }} units={on(level.id)} beside />
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
  house: DrawnHouse;
  name: string;
  units: HouseUnit[];
  first: boolean;
  small: boolean;
}) {
  return (
    <div
      data-first={first || undefined}
      className="flex min-h-16 flex-col items-start justify-between gap-1 border-t-[3px] border-ink px-3 pt-1 pb-2 group-data-small/house:min-h-14 group-data-small/house:px-2 group-data-small/house:pb-1 data-first:border-t-0"
    >
      <p className="text-sm leading-tight text-second">{name}</p>
      <Units {...{ house, units, small }} />
    </div>
  );
}

function Units({
  house,
  units,
  small,
  stacked = false,
  listed = false,
  beside = false,
}: {
  house: DrawnHouse;
  units: HouseUnit[];
  small: boolean;
  stacked?: boolean;
  /** In a narrow building the name stands under the figure. */
  beside?: boolean;
  /** In a list every unit is named, and a tap opens it. */
  listed?: boolean;
}) {
  return (
    <ul
      data-stacked={stacked || undefined}
      data-beside={beside || undefined}
      // An outbuilding of many machines grows to the side before it grows taller than the house.
      data-many={(beside && units.length > 2) || undefined}
      className="flex flex-wrap items-end gap-x-4 gap-y-3 group-data-small/house:gap-x-3 data-beside:items-start data-many:max-w-60 group-data-small/house:data-many:max-w-24 data-stacked:flex-col data-stacked:items-start"
    >
      {units.map((unit) => (
        <li key={unit.id}>
          <UnitMark {...{ house, unit, small, listed, beside }} />
        </li>
      ))}
    </ul>
  );
}

/** A unit where it stands: the first press selects it, the second opens it. */
function UnitMark({
  house,
  unit,
  small,
  listed,
  beside,
}: {
  house: DrawnHouse;
  unit: HouseUnit;
  small: boolean;
  listed: boolean;
  beside: boolean;
}) {
  const isSelected = !small && !listed && house.selectedId === unit.id;
  const opens = small || listed || isSelected;
  const isNamed = listed || (!small && (unit.speaksUp || isSelected));
  return (
    <Link
      href={
        opens
          ? `/homes/${house.homeId}/units/${unit.id}`
          : `/homes/${house.homeId}/house?unit=${unit.id}`
      }
      scroll={opens}
      aria-label={isNamed ? undefined : [unit.name, unit.words].filter(Boolean).join(": ")}
      aria-current={isSelected ? "true" : undefined}
      title={isNamed ? undefined : unit.name}
      data-beside={beside || undefined}
      className="group flex min-h-11 min-w-11 items-end gap-2 no-underline aria-[current=true]:outline-2 aria-[current=true]:outline-offset-4 aria-[current=true]:outline-ink aria-[current=true]:outline-dashed data-beside:max-w-28 data-beside:flex-wrap data-beside:gap-y-0.5"
    >
      {unit.open && <Bracket height={small ? 36 : 56} />}
      <UnitFigure figure={unit.figure} size={small ? 34 : 46} />
      {unit.fill !== null && (
        <Gauge fill={unit.fill} label={unit.fillWords} height={small ? 26 : 36} />
      )}
      {isNamed && (
        <span className="mb-0.5 max-w-32 text-[0.875rem]">
          <strong className="block leading-tight group-hover:underline">{unit.name}</strong>
          <span
            data-loud={unit.speaksUp || undefined}
            className="block leading-tight text-second data-loud:font-medium data-loud:text-attention-text"
          >
            {unit.words}
          </span>
        </span>
      )}
    </Link>
  );
}
