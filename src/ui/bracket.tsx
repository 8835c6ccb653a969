/** An end that is still open; closed, it becomes a whole pair. */
export function Bracket({ closed = false, height = 40 }: { closed?: boolean; height?: number }) {
  return (
    <svg
      aria-hidden="true"
      viewBox={`0 0 ${closed ? 30 : 14} 40`}
      height={height}
      className="block shrink-0"
      data-state={closed ? "closed" : "open"}
    >
      <path d="M14 2 H3 V38 H14" fill="none" className="stroke-attention" strokeWidth="4" />
      {closed && (
        <path d="M16 2 H27 V38 H16" fill="none" className="stroke-attention" strokeWidth="4" />
      )}
    </svg>
  );
}
