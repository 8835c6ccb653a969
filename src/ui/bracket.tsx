/** The mark of an end that is still open. */
export function Bracket({ height = 40 }: { height?: number }) {
  return (
    <svg aria-hidden="true" viewBox="0 0 14 40" height={height} className="block shrink-0">
      <path d="M14 2 H3 V38 H14" fill="none" className="stroke-attention" strokeWidth="4" />
    </svg>
  );
}
