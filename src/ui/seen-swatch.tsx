const FLAMES = [14, 38, 62];
const cone = (x: number) =>
  `M${x} 40 C${x - 2} 28 ${x + 4} 20 ${x + 9} 10 C${x + 14} 20 ${x + 20} 28 ${x + 18} 40 Z`;
const tip = (x: number) =>
  `M${x + 4} 22 C${x + 6} 17 ${x + 8} 13 ${x + 9} 10 C${x + 10} 13 ${x + 12} 17 ${x + 14} 22 Z`;
const lazy = (x: number) =>
  `M${x - 2} 40 C${x - 8} 26 ${x + 8} 24 ${x} 6 C${x + 18} 14 ${x + 24} 26 ${x + 20} 40 Z`;
/** A scatter that is always the same. */
const grains = (count: number) =>
  Array.from({ length: count }, (_, i) => ({ x: 12 + ((i * 37) % 73), y: 8 + ((i * 23) % 32) }));
const FINS = [16, 26, 36, 46, 56, 66, 76];

function Flame({ seen }: { seen: string }) {
  if (seen === "rolling-yellow" || seen === "sooting")
    return (
      <>
        {FLAMES.map((x) => (
          <path key={x} d={lazy(x)} className="fill-seen-yellow stroke-ink" strokeWidth="1.5" />
        ))}
        {seen === "sooting" &&
          grains(14).map(({ x, y }, i) => (
            <circle key={i} cx={x} cy={y / 2} r="1.8" className="fill-ink" />
          ))}
      </>
    );
  return FLAMES.map((x) => (
    <g key={x}>
      <path d={cone(x)} className="fill-seen-blue stroke-ink" strokeWidth="1.5" />
      {seen === "yellow-tips" && <path d={tip(x)} className="fill-seen-yellow" />}
    </g>
  ));
}

const LAYER: Record<string, number> = { film: 1.5, coat: 5, thick: 11 };
function Sludge({ seen }: { seen: string }) {
  const layer = LAYER[seen] ?? 1;
  return (
    <>
      <rect
        x="10"
        y={23 - 6 - layer}
        width="76"
        height={12 + 2 * layer}
        rx={layer}
        className="fill-dust"
      />
      <rect
        x="4"
        y="17"
        width="88"
        height="12"
        className="fill-surface stroke-ink"
        strokeWidth="2"
      />
    </>
  );
}

function Drain({ seen }: { seen: string }) {
  return (
    <>
      <path d="M28 6 L33 42 H63 L68 6" fill="none" className="stroke-ink" strokeWidth="2" />
      {seen === "blocked" ? (
        <path d="M18 6 H78" className="stroke-ink" strokeWidth="5" />
      ) : (
        <path
          d={seen === "slow" ? "M48 2 V18" : "M48 0 V28"}
          className="stroke-cooling"
          strokeWidth="4"
          strokeDasharray={seen === "slow" ? "3 5" : undefined}
        />
      )}
      {seen !== "blocked" && (
        <path
          d="M31 28 L33 41 H63 L65 28 Z"
          className="fill-cooling"
          opacity={seen === "cloudy" ? 0.35 : 0.7}
        />
      )}
      {seen === "cloudy" &&
        grains(22).map(({ x, y }, i) => (
          <circle key={i} cx={34 + (x % 28)} cy={29 + (y % 12)} r="1.4" className="fill-dust" />
        ))}
    </>
  );
}

const HEAP: Record<string, string> = {
  fluff: "fill-seen-grey",
  "pale-grit": "fill-seen-pale",
  yellow: "fill-seen-yellow",
  dark: "fill-ink",
};
function Debris({ seen }: { seen: string }) {
  return (
    <>
      <path
        d="M8 40 C22 34 26 20 40 22 C52 12 60 22 68 28 C76 32 84 38 88 40 Z"
        className={`${HEAP[seen] ?? "fill-dust"} stroke-ink`}
        strokeWidth="1.5"
      />
      {seen === "pale-grit" &&
        grains(16).map(({ x, y }, i) => (
          <circle key={i} cx={x} cy={30 + (y % 9)} r="1.2" className="fill-ink" />
        ))}
      {seen === "dark" &&
        grains(12).map(({ x, y }, i) => (
          <circle key={i} cx={x} cy={28 + (y % 10)} r="1.6" className="fill-surface" />
        ))}
    </>
  );
}

function Coil({ seen }: { seen: string }) {
  return (
    <>
      {seen === "matted" && (
        <rect x="10" y="6" width="72" height="36" className="fill-dust" opacity="0.75" />
      )}
      {seen === "dusted" && (
        <rect x="10" y="6" width="72" height="36" className="fill-dust" opacity="0.25" />
      )}
      {FINS.map((x, i) => (
        <path
          key={x}
          d={seen === "bent-fins" && i % 2 === 1 ? `M${x} 6 L${x + 9} 24 L${x} 42` : `M${x} 6 V42`}
          fill="none"
          className="stroke-ink"
          strokeWidth="2"
        />
      ))}
      {seen === "iced" && (
        <path
          d="M8 12 C24 2 40 16 56 8 C70 2 80 10 86 8 V30 C70 36 60 26 44 34 C28 40 16 30 8 34 Z"
          className="fill-cooling stroke-ink"
          strokeWidth="1.5"
        />
      )}
      {seen === "oily" &&
        [28, 52, 70].map((x) => (
          <ellipse key={x} cx={x} cy={24 + (x % 9)} rx="6" ry="8" className="fill-ink" />
        ))}
    </>
  );
}

function Seal({ seen }: { seen: string }) {
  const height = seen === "flattened" ? 5 : 16;
  return (
    <>
      <path d="M4 38 H92" className="stroke-ink" strokeWidth="3" />
      <rect
        x="8"
        y={36 - height}
        width={seen === "leaking" ? 30 : 80}
        height={height}
        className="fill-dust stroke-ink"
        strokeWidth="1.5"
      />
      {seen === "leaking" && (
        <rect
          x="56"
          y={36 - height}
          width="32"
          height={height}
          className="fill-dust stroke-ink"
          strokeWidth="1.5"
        />
      )}
    </>
  );
}

const WATER: Record<string, string> = {
  clear: "fill-surface",
  straw: "fill-seen-yellow",
  brown: "fill-dust",
  black: "fill-ink",
};
/** A glass of the water that was let out. */
function Glass({ seen }: { seen: string }) {
  return (
    <>
      <path d="M34 16 L37 42 H59 L62 16 Z" className={WATER[seen] ?? "fill-surface"} />
      <path d="M32 4 L37 42 H59 L64 4" className="fill-none stroke-ink" strokeWidth="2" />
      <path d="M34 16 H62" className="stroke-ink" strokeWidth="1.2" />
    </>
  );
}

const FIELD: Record<string, number> = { enough: 3, low: 1, none: 0 };
/** A test strip: the more fields have turned, the more inhibitor there is. */
function Strip({ seen }: { seen: string }) {
  const turned = FIELD[seen] ?? 0;
  return (
    <>
      <rect
        x="8"
        y="15"
        width="80"
        height="16"
        className="fill-surface stroke-ink"
        strokeWidth="2"
      />
      {[0, 1, 2].map((i) => (
        <rect
          key={i}
          x={44 + 14 * i}
          y="18"
          width="10"
          height="10"
          className={i < turned ? "fill-seen-blue" : "fill-seen-pale"}
        />
      ))}
    </>
  );
}

/** How far up a pane the fog stands. */
const FOG: Record<string, number> = { clear: 0, edges: 5, panes: 20, streaming: 34 };
function Pane({ seen }: { seen: string }) {
  const fog = FOG[seen] ?? 0;
  return (
    <>
      <rect x="26" y="3" width="44" height="40" className="fill-surface" />
      <rect x="26" y={43 - fog} width="44" height={fog} className="fill-seen-grey" />
      {seen === "streaming" &&
        [34, 44, 55, 63].map((x, i) => (
          <path
            key={x}
            d={`M${x} 12 v${16 + 4 * (i % 3)}`}
            className="stroke-ink"
            strokeWidth="1.6"
          />
        ))}
      <path
        d="M26 3 h44 v40 h-44 Z M48 3 v40 M26 23 h44"
        className="fill-none stroke-ink"
        strokeWidth="2"
      />
    </>
  );
}

/** A wire under its screw: bright, dull, green with rust, loose, or burnt. */
function Wire({ seen }: { seen: string }) {
  const end = seen === "loose" ? 50 : 62;
  const copper = { sound: "stroke-amber", loose: "stroke-amber", scorched: "stroke-ink" };
  return (
    <>
      <path d="M4 23 H42" className="stroke-second" strokeWidth="11" />
      {seen === "scorched" && <path d="M30 23 H42" className="stroke-ink" strokeWidth="11" />}
      <path
        d={`M42 23 H${end}`}
        className={copper[seen as keyof typeof copper] ?? "stroke-dust"}
        strokeWidth="5"
      />
      {seen === "corroded" &&
        [44, 49, 54, 59].map((x, i) => (
          <circle key={x} cx={x} cy={i % 2 ? 19 : 27} r="3" className="fill-seen-pale stroke-ink" />
        ))}
      <circle cx="72" cy="23" r="11" className="fill-surface stroke-ink" strokeWidth="2" />
      <path d="M66 23 h12" className="stroke-ink" strokeWidth="2" />
    </>
  );
}

/** A lamp beside its word: dark or lit. */
function Light({ seen }: { seen: string }) {
  const isOn = seen === "on";
  return (
    <>
      <circle
        cx="48"
        cy="23"
        r="10"
        className={`stroke-ink ${isOn ? "fill-amber" : "fill-surface"}`}
        strokeWidth="2"
      />
      {isOn && (
        <path
          d="M48 3 v6 M48 37 v6 M28 23 h6 M62 23 h6 M34 9 l4 4 M58 33 l4 4 M62 9 l-4 4 M38 33 l-4 4"
          className="stroke-ink"
          strokeWidth="2"
        />
      )}
    </>
  );
}

const STEAM: Record<string, string> = {
  "drawn-in": "M40 42 C40 32 46 30 46 18 M56 42 C56 32 50 30 50 18",
  drifts: "M40 42 C40 32 46 30 46 18 M56 42 C58 34 66 32 72 26",
  "not-drawn": "M40 42 C38 34 30 32 24 26 M56 42 C58 34 66 32 72 26",
};
/** A hood over a pot, and where its steam goes. */
function Hood({ seen }: { seen: string }) {
  return (
    <>
      <path d="M24 14 L36 4 H60 L72 14 Z" className="fill-surface stroke-ink" strokeWidth="2" />
      <path d={STEAM[seen] ?? ""} className="fill-none stroke-second" strokeWidth="2.5" />
      <path d="M34 43 h28" className="stroke-ink" strokeWidth="3" />
    </>
  );
}

const AMOUNT: Record<string, number> = { thin: 2, modest: 7, heavy: 18 };
/** A duct in section, and how high it lies in it. */
function Amount({ seen }: { seen: string }) {
  const height = AMOUNT[seen] ?? 0;
  return (
    <>
      <rect x="12" y={40 - height} width="72" height={height} className="fill-dust" />
      <rect x="12" y="4" width="72" height="36" className="fill-none stroke-ink" strokeWidth="2" />
    </>
  );
}

/** Four cells of an exchanger: whole, with a stain like a hair, or open. */
function Exchanger({ seen }: { seen: string }) {
  return (
    <>
      {[10, 30, 50, 70].map((x) => (
        <rect
          key={x}
          x={x}
          y="5"
          width="14"
          height="36"
          rx="7"
          className="fill-surface stroke-ink"
          strokeWidth="2"
        />
      ))}
      {seen === "stained" && (
        <path d="M57 12 L55 20 L58 28 L56 36" className="fill-none stroke-dust" strokeWidth="4" />
      )}
      {seen === "cracked" && (
        <path d="M57 9 L53 18 L60 25 L54 37" className="fill-none stroke-ink" strokeWidth="3" />
      )}
    </>
  );
}

const PIPE: Record<string, string> = { sags: "M4 14 Q48 50 92 14", apart: "M4 16 H42 M54 26 H92" };
/** A plastic vent on its hangers. */
function Pipe({ seen }: { seen: string }) {
  const way = PIPE[seen] ?? "M4 18 H92";
  return (
    <>
      <path d="M24 0 V12 M72 0 V12" className="stroke-ink" strokeWidth="2" />
      <path d={way} className="fill-none stroke-ink" strokeWidth="13" />
      <path
        d={way}
        className={`fill-none ${seen === "brown" ? "stroke-dust" : "stroke-surface"}`}
        strokeWidth="9"
      />
      {seen === "drips" && (
        <path d="M48 28 v5 M48 37 v5" className="stroke-cooling" strokeWidth="4" />
      )}
    </>
  );
}

/** An outdoor unit’s fins: free, white with hoar, ice beneath, or in a block. */
function Frost({ seen }: { seen: string }) {
  return (
    <>
      {FINS.map((x) => (
        <path key={x} d={`M${x} 4 V36`} className="stroke-ink" strokeWidth="2" />
      ))}
      {seen === "hoar" && (
        <rect x="12" y="4" width="68" height="32" className="fill-surface" opacity="0.7" />
      )}
      {(seen === "beneath" || seen === "block") && (
        <path
          d={seen === "block" ? "M6 8 L40 2 L88 8 L90 44 H6 Z" : "M10 36 H84 L78 45 H16 Z"}
          className="fill-cooling stroke-ink"
          opacity="0.85"
        />
      )}
    </>
  );
}

/** The thick line in its wrap: whole, frayed, or bare for a stretch. */
function Wrap({ seen }: { seen: string }) {
  return (
    <>
      <path d="M4 23 H92" className="stroke-amber" strokeWidth="6" />
      <path
        d={seen === "bare" ? "M4 23 H30 M66 23 H92" : "M4 23 H92"}
        className="stroke-ink"
        strokeWidth="20"
        strokeDasharray={seen === "frayed" ? "17 4" : undefined}
      />
    </>
  );
}

const DRAWN = {
  flame: Flame,
  sludge: Sludge,
  drain: Drain,
  "duct-debris": Debris,
  coil: Coil,
  seal: Seal,
  "heating-water": Glass,
  "inhibitor-strip": Strip,
  "window-fog": Pane,
  wires: Wire,
  "indicator-light": Light,
  "hood-steam": Hood,
  "duct-amount": Amount,
  "heat-exchanger": Exchanger,
  "plastic-pipe": Pipe,
  frost: Frost,
  "line-wrap": Wrap,
};

/** Whether there is a drawing of what is seen in a reading of this kind. */
export const isDrawn = (kind: string): boolean => kind in DRAWN;

/** What one looks at, drawn as it looks; nothing for what is heard or felt. */
export function SeenSwatch({ kind, seen }: { kind: string; seen: string }) {
  const Drawing = isDrawn(kind) ? DRAWN[kind as keyof typeof DRAWN] : null;
  if (!Drawing) return null;
  return (
    <svg aria-hidden="true" viewBox="0 0 96 46" className="block h-12 w-auto" data-drawn={kind}>
      <Drawing seen={seen} />
    </svg>
  );
}
