export type Figure = "furnace" | "rooftop" | "box" | "head" | "ventilator" | "cylinder";

const DRAWN: Record<Figure, React.ReactNode> = {
  furnace: (
    <>
      <path d="M8 18 H40 V58 H8 Z M8 18 L20 4 H28 L40 18" />
      <path d="M14 28 H34 M14 34 H34 M19 52 q-3 -7 2 -10 q1 5 4 0 q6 4 3 10" />
    </>
  ),
  rooftop: (
    <>
      <path d="M4 20 H46 V54 H4 Z M4 54 V58 M46 54 V58" />
      <circle cx="34" cy="34" r="8" />
      <path d="M26 34 H42 M34 26 V42 M10 28 H20 M10 34 H20 M10 40 H20" />
    </>
  ),
  box: <path d="M8 14 H40 V58 H8 Z M14 26 H34 M14 34 H34 M14 42 H34" />,
  head: <path d="M4 24 H46 V44 H4 Z M10 38 H40 M14 44 V50 M24 44 V52 M34 44 V50" />,
  ventilator: <path d="M4 18 H46 V56 H4 Z M4 18 L46 56 M46 18 L4 56" />,
  cylinder: (
    <>
      <ellipse cx="24" cy="14" rx="13" ry="4" />
      <path d="M11 14 V54 q13 7 26 0 V14 M16 26 V50 M24 28 V53 M32 26 V50" />
    </>
  ),
};

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
