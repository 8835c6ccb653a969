/**
 * A machine as a plain line figure, by its name in public/figures.svg: drawn once for all pages, so
 * that a full house stays light.
 */
export function UnitFigure({ figure, size = 56 }: { figure: string; size?: number }) {
  return (
    <svg
      aria-hidden="true"
      height={size}
      width={(size * 50) / 62}
      strokeWidth="2"
      strokeLinejoin="round"
      className="block shrink-0 fill-surface stroke-ink"
    >
      <use href={`/figures.svg#${figure}`} />
    </svg>
  );
}
