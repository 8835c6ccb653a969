import type { Rung, ThereAndBack } from "./there-and-back";

const TOP = 40;
const ROOMY = 92;
const CLOSE = 44;
/** With more rungs than this they stand closer, and each says itself in one line. */
const MOST_ROOMY = 4;
const LEFT = 20;
const RIGHT = 92;
const FOOT_X = (LEFT + RIGHT) / 2;

const stateOf = ({ closed, left, state }: Rung): string =>
  closed ? "back" : left ? `left ${state}` : state;

/** Down the left what is shut and taken out, at the foot the work, up the right the same put back. */
export function ThereAndBackV({ way, words }: { way: ThereAndBack; words: boolean }) {
  const isClose = way.rungs.length > MOST_ROOMY;
  const step = isClose ? CLOSE : ROOMY;
  const last = TOP + (way.rungs.length - 1) * step;
  const foot = last + (isClose ? 72 : 108);
  const knee = last + (isClose ? 24 : 46);
  return (
    <svg
      role="img"
      aria-label={way.rungs
        .map(
          (rung) => `${rung.thing} ${rung.closed ? "back" : rung.opened ? rung.state : "not yet"}`,
        )
        .join(", ")}
      viewBox={`0 0 112 ${foot + 44}`}
      className="block w-full max-w-52 overflow-visible"
    >
      <path
        d={`M${RIGHT} ${TOP} V${knee} L${FOOT_X} ${foot}`}
        fill="none"
        className="stroke-rule"
        strokeWidth="2.5"
      />
      <path
        d={`M${LEFT} ${TOP} V${knee} L${FOOT_X} ${foot}`}
        fill="none"
        className="stroke-ink"
        strokeWidth="2.5"
      />
      {way.rungs.map((rung, i) => {
        const y = TOP + i * step;
        const isOpen = rung.opened && !rung.closed;
        return (
          <g key={rung.key}>
            {isOpen && (
              <>
                <path d={`M${LEFT} ${y} H52`} className="stroke-attention" strokeWidth="3" />
                <path d={`M52 ${y - 9} V${y + 9}`} className="stroke-attention" strokeWidth="3" />
                <path
                  d={`M56 ${y} H${RIGHT}`}
                  className="stroke-second"
                  strokeWidth="1.5"
                  strokeDasharray="2 4"
                />
              </>
            )}
            {rung.closed && (
              <path d={`M${LEFT} ${y} H${RIGHT}`} className="stroke-ink" strokeWidth="2.5" />
            )}
            <circle
              cx={LEFT}
              cy={y}
              r="8"
              className={rung.opened ? "fill-ink stroke-ink" : "fill-ground stroke-second"}
              strokeWidth="2.5"
            />
            <circle
              cx={RIGHT}
              cy={y}
              r="8"
              className={rung.closed ? "fill-ink stroke-ink" : "fill-ground stroke-second"}
              strokeWidth="2.5"
            />
            {words && (
              <text
                x={FOOT_X}
                y={y - (isClose ? 13 : 16)}
                textAnchor="middle"
                fontSize={isClose ? 13.5 : 16}
                className={`stroke-surface ${isClose && isOpen ? "fill-attention-text" : "fill-ink"}`}
                strokeWidth="5"
                paintOrder="stroke"
              >
                {isClose && rung.opened ? `${rung.thing} ${stateOf(rung)}` : rung.thing}
              </text>
            )}
            {words && !isClose && (
              <text
                x={FOOT_X}
                y={y + 25}
                textAnchor="middle"
                fontSize="15"
                className={isOpen ? "fill-attention-text" : "fill-second"}
              >
                {rung.opened ? stateOf(rung) : ""}
              </text>
            )}
          </g>
        );
      })}
      <circle
        cx={FOOT_X}
        cy={foot}
        r="11"
        className={
          way.leg === "foot"
            ? "fill-attention"
            : way.leg === "down"
              ? "fill-ground stroke-second"
              : "fill-ink"
        }
        strokeWidth="2.5"
      />
      {words && (
        <text x={FOOT_X} y={foot + 32} textAnchor="middle" fontSize="16" className="fill-ink">
          the work
        </text>
      )}
    </svg>
  );
}
