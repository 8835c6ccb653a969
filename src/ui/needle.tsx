export type Verdict = "sound" | "watch" | "act" | "stop" | "unknown";

const TURN: Record<Verdict, number> = { unknown: 0, sound: 0, watch: -40, act: -90, stop: -90 };
const WORDS: Record<Verdict, string> = {
  unknown: "not known",
  sound: "sound",
  watch: "watch",
  act: "act",
  stop: "stop",
};

/** A verdict: level is sound, tilted is watch, upright is act, upright in a box is stop. */
export function Needle({ verdict, size = 26 }: { verdict: Verdict; size?: number }) {
  return (
    <svg
      role="img"
      aria-label={WORDS[verdict]}
      viewBox="0 0 26 26"
      width={size}
      height={size}
      data-verdict={verdict}
      className="block shrink-0 fill-ink stroke-ink data-[verdict=act]:fill-attention data-[verdict=act]:stroke-attention data-[verdict=stop]:fill-attention data-[verdict=stop]:stroke-attention data-[verdict=watch]:fill-attention data-[verdict=watch]:stroke-attention"
    >
      {verdict === "stop" && (
        <rect x="1.5" y="1.5" width="23" height="23" fill="none" strokeWidth="2.4" />
      )}
      {verdict === "unknown" ? (
        <path
          d="M8.5 9.5a4.5 4.5 0 1 1 6 4.2c-1.2.5-1.5 1.3-1.5 2.6M13 20.2v.1"
          fill="none"
          strokeWidth="2.6"
          strokeLinecap="round"
        />
      ) : (
        <g transform={`rotate(${TURN[verdict]} 13 13)`}>
          <line x1="3" x2="23" y1="13" y2="13" strokeWidth="2.6" />
          <path d="M23 13 L17 9.4 V16.6 Z" strokeWidth="0" />
          <circle cx="13" cy="13" r="3" strokeWidth="0" />
        </g>
      )}
    </svg>
  );
}
