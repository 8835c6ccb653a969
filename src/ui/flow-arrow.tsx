const TURN: Record<string, number> = {
  right: 0,
  down: 90,
  left: 180,
  up: 270,
  "into-the-unit": 0,
  "into-the-wall": 0,
};

/** A filter seen from the side with the arrow on its frame. */
export function FlowArrow({ direction, size = 96 }: { direction: string; size?: number }) {
  const turn = TURN[direction];
  if (turn === undefined) return null;
  return (
    <svg
      aria-hidden="true"
      viewBox="0 0 100 100"
      width={size}
      height={size}
      className="block shrink-0"
    >
      <g transform={`rotate(${turn} 50 50)`} fill="none" className="stroke-ink" strokeWidth="4">
        <path d="M42 10 H58 V90 H42 Z" className="fill-surface" />
        <path d="M42 18 L58 26 L42 34 L58 42 L42 50 L58 58 L42 66 L58 74 L42 82" strokeWidth="2" />
        <path
          d="M4 50 H34 M66 50 H92 M80 38 L94 50 L80 62"
          className="stroke-attention"
          strokeWidth="6"
        />
      </g>
    </svg>
  );
}
