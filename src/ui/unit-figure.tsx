const DRAWN = {
  furnace: (
    <>
      <path d="M8 18 H40 V58 H8 Z M8 18 L20 4 H28 L40 18" />
      <path d="M14 28 H34 M14 34 H34 M19 52 q-3 -7 2 -10 q1 5 4 0 q6 4 3 10" />
    </>
  ),
  condenser: (
    <>
      <path d="M6 16 H44 V56 H6 Z M10 56 V60 M40 56 V60" />
      <circle cx="25" cy="36" r="13" />
      <path d="M12 36 H38 M25 23 V49" />
    </>
  ),
  rooftop: (
    <>
      <path d="M4 20 H46 V54 H4 Z M4 54 V58 M46 54 V58" />
      <circle cx="34" cy="34" r="8" />
      <path d="M26 34 H42 M34 26 V42 M10 28 H20 M10 34 H20 M10 40 H20" />
    </>
  ),
  head: <path d="M4 24 H46 V44 H4 Z M10 38 H40 M14 44 V50 M24 44 V52 M34 44 V50" />,
  ventilator: <path d="M4 18 H46 V56 H4 Z M4 18 L46 56 M46 18 L4 56" />,
  tank: (
    <>
      <path d="M10 12 V54 q15 6 30 0 V12" />
      <ellipse cx="25" cy="12" rx="15" ry="5" />
      <path d="M10 26 q15 6 30 0 M19 7 V2 M31 7 V2 M25 40 q5 6 0 8 q-5 -2 0 -8" />
    </>
  ),
  cleaner: <path d="M6 14 H44 V56 H6 Z M6 27.5 H44 M6 42 H44 M13 20 H37 M13 35 H37 M13 49 H37" />,
  cylinder: (
    <>
      <ellipse cx="24" cy="14" rx="13" ry="4" />
      <path d="M11 14 V54 q13 7 26 0 V14 M16 26 V50 M24 28 V53 M32 26 V50" />
    </>
  ),
  portable: (
    <>
      <path d="M6 10 H32 V54 H6 Z M11 18 H27 M11 24 H27 M11 30 H27" />
      <path d="M32 20 q10 0 10 9 t8 9" />
      <circle cx="11" cy="57.5" r="2.5" />
      <circle cx="27" cy="57.5" r="2.5" />
    </>
  ),
  heater: (
    <>
      <path d="M4 22 H46 V54 H4 Z M10 54 V58 M40 54 V58 M38 22 V10 H48" />
      <path d="M10 30 H28 M10 36 H28 M10 42 H28 M35 48 q-4 -7 2 -11 q1 5 3 1 q4 6 0 10" />
    </>
  ),
  boiler: (
    <>
      <path d="M10 6 H40 V46 H10 Z M16 46 V60 M25 46 V60 M34 46 V60" />
      <circle cx="25" cy="36" r="5" />
      <path d="M25 36 L28 33 M21 22 q-3 -6 3 -10 q1 5 3 1 q5 5 1 9" />
    </>
  ),
  humidifier: (
    <>
      <path d="M8 16 H42 V56 H8 Z M14 48 H36" />
      <path d="M25 22 q9 12 0 17 q-9 -5 0 -17" />
    </>
  ),
  ducts: <path d="M2 22 H20 V8 H32 V22 H48 M2 36 H20 V58 M32 58 V36 H48 M20 22 V36 M32 22 V36" />,
  dryer: (
    <>
      <path d="M6 12 H36 V58 H6 Z M6 20 H36 M36 30 H46 M46 24 V36" />
      <circle cx="21" cy="38" r="10" />
      <path d="M14 38 q4 -4 7 0 t7 0" />
    </>
  ),
  thermostat: (
    <>
      <path d="M8 18 H42 V50 H8 Z M14 26 H36 V38 H14 Z" />
      <path d="M16 44 H20 M30 44 H34 M22 35 V29 M28 35 V29" />
    </>
  ),
  alarm: (
    <>
      <circle cx="25" cy="36" r="18" />
      <circle cx="25" cy="36" r="6" />
      <path d="M13 29 q3 -6 9 -8 M37 43 q-3 6 -9 8" />
    </>
  ),
} satisfies Record<string, React.ReactNode>;

export type Figure = keyof typeof DRAWN;

/** A machine as a plain line figure, in one stroke weight. */
export function UnitFigure({ figure, size = 56 }: { figure: Figure; size?: number }) {
  return (
    <svg
      aria-hidden="true"
      viewBox="0 0 50 62"
      height={size}
      width={(size * 50) / 62}
      fill="none"
      strokeWidth="2"
      strokeLinejoin="round"
      className="block shrink-0 fill-surface stroke-ink"
    >
      {DRAWN[figure]}
    </svg>
  );
}
