type Shade = "clean" | "light" | "grey" | "loaded" | "blocked" | "collapsed" | "white-powder";

const PLEATS =
  "M6 30 L13 10 L20 30 L27 10 L34 30 L41 10 L48 30 L55 10 L62 30 L69 10 L76 30 L83 10 L90 30";
const CAVED =
  "M6 26 L13 8 L20 29 L27 14 L34 34 L41 20 L48 37 L55 20 L62 34 L69 14 L76 29 L83 8 L90 26";

/** How much dust lies in the pleats: its tint, and its grains (a fixed scatter, no chance). */
const DUST: Record<Shade, { tint: number; grains: number; pale?: boolean }> = {
  clean: { tint: 0, grains: 0 },
  light: { tint: 0.14, grains: 8 },
  grey: { tint: 0.36, grains: 18 },
  loaded: { tint: 0.62, grains: 32 },
  blocked: { tint: 0.92, grains: 56 },
  collapsed: { tint: 0.5, grains: 44 },
  "white-powder": { tint: 0, grains: 48, pale: true },
};

/** The pleats of a filter from the side, with what lies in them. */
export function FilterSwatch({ shade }: { shade: Shade }) {
  const { tint, grains, pale } = DUST[shade];
  const line = shade === "collapsed" ? CAVED : PLEATS;
  const dots = Array.from({ length: grains }, (_, i) => ({
    x: 8 + ((i * 37) % 81),
    y: 14 + ((i * 23) % 19),
    r: 0.8 + ((i * 7) % 5) * 0.18,
  }));
  return (
    <svg aria-hidden="true" viewBox="0 0 96 42" className="block h-11 w-auto">
      <path d={`${line} L90 33 L6 33 Z`} className="fill-dust" opacity={tint} />
      {dots.map((dot, i) => (
        <circle
          key={i}
          cx={dot.x}
          cy={dot.y}
          r={dot.r}
          className={pale ? "fill-surface stroke-second" : "fill-ink"}
          strokeWidth={pale ? 0.7 : 0}
        />
      ))}
      <path d={line} fill="none" className="stroke-ink" strokeWidth="2" strokeLinejoin="round" />
    </svg>
  );
}
