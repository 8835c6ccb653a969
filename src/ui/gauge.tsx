const BRIM = 8;
const FOOT = 43;

/**
 * What every gauge is drawn with, once in a document: a house of many gauges stays light. It has
 * no size rather than no display, as a hatch that is not displayed would not fill.
 */
export function GaugeParts() {
  return (
    <svg aria-hidden="true" width="0" height="0" className="absolute">
      <pattern
        id="gauge-hatch"
        width="4.5"
        height="4.5"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <line x1="0" x2="0" y1="0" y2="4.5" className="stroke-dust" strokeWidth="3" />
      </pattern>
      <g id="gauge-vessel" className="fill-none stroke-ink">
        <path d={`M3 3 V${FOOT + 1} H22 V3`} strokeWidth="2" />
        <path d={`M3 ${BRIM} H22`} strokeWidth="1.2" strokeDasharray="1.5 2" />
      </g>
    </svg>
  );
}

/**
 * An upright vessel that fills with hatching; the brim is due. Beyond the brim the hatching spills
 * over the right side. The faint mark beside it spans early to late.
 *
 * @param fill share filled, 0 and up; 1 is the brim
 * @param band shares at which it might already, or only then, be full
 */
export function Gauge({
  fill,
  band,
  label,
  height = 44,
}: {
  fill: number;
  band?: { low: number; high: number } | undefined;
  label: string;
  height?: number;
}) {
  const inside = FOOT - BRIM;
  const level = FOOT - inside * Math.min(1, Math.max(0, fill));
  const spilled = Math.min(1, Math.max(0, fill - 1));
  const y = (share: number) => Math.max(2, FOOT - inside * share);
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox="0 0 30 46"
      height={height}
      width={(height * 30) / 46}
      className="block shrink-0 overflow-visible"
    >
      <rect x="4" y={level} width="17" height={FOOT - level} fill="url(#gauge-hatch)" />
      {spilled > 0 && (
        <g className="stroke-attention" strokeWidth="2.2">
          {[0, 1, 2].map((i) => (
            <line key={i} x1={22.5} y1={17 + i * 5} x2={22.5 + 3 + 3 * spilled} y2={12 + i * 5} />
          ))}
        </g>
      )}
      <use href="#gauge-vessel" />
      {band && spilled === 0 && (
        <line
          x1="27"
          x2="27"
          y1={y(Math.min(1.15, band.high))}
          y2={y(band.low)}
          className="stroke-second"
          strokeWidth="2"
        />
      )}
    </svg>
  );
}
