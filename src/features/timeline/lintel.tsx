"use client";

import { Link } from "@/ui/link";
import { usePathname } from "next/navigation";
import { Toolbar } from "radix-ui";
import { useEffect, useRef } from "react";
import { daysFrom, type PlainDate } from "@/core/quantities/plain-date";
import { dayAndMonth } from "@/core/quantities/words";
import type { Lintel as LintelData, PegWhat } from "@/core/timeline/lintel";
import { along } from "@/presentation/along";
import { setZoom, useZoom, ZOOM_NAMES, ZOOMS } from "@/ui/beam-zoom";
import { useLinkedScroll } from "@/ui/linked-scroll";
import { Beam } from "./beam";
import type { HungPeg } from "./shell-queries";

const STEPS = [
  { by: -1, sign: "−", words: "Show more of the year" },
  { by: 1, sign: "+", words: "Look closer" },
];

/** Pegs nearer than this share a place to hang: 44 px at the usual width of a screen. */
const CLUSTER_DAYS = 12;
/** A peg is so long, px, and longer with the minutes that hang there; an hour or two at most. */
const SHORTEST = 10;
const LONGEST = 29;
const MINUTES_PER_PX = 4;
const PEG_HALF = 14;
/** A card says so much. */
const MOST_LINES = 6;

type Hung = { pegs: HungPeg[]; past: boolean };

function hang(pegs: readonly HungPeg[], today: PlainDate, apart: number): Hung[] {
  const hung: Hung[] = [];
  for (const peg of pegs) {
    const last = hung.at(-1);
    const near = last && last.past === peg.past && daysFrom(last.pegs[0]!.day, peg.day) < apart;
    // What lies at today takes in what hangs right beside it.
    const besideFallen = last?.past && daysFrom(today, peg.day) < apart / 2;
    if (near || besideFallen) last.pegs.push(peg);
    else hung.push({ pegs: [peg], past: peg.past });
  }
  return hung;
}

/** The year over every page, and what hangs from it. Arrow keys walk from peg to peg. */
export function Lintel({
  homeId,
  lintel,
  pegs,
  pegsPath,
  hasRunHours,
}: {
  homeId: string;
  lintel: Omit<LintelData, "pegs">;
  pegs: readonly HungPeg[];
  pegsPath: string;
  hasRunHours: boolean;
}) {
  const isToday = usePathname() === `/homes/${homeId}`;
  const zoom = useZoom();
  const scroller = useRef<HTMLDivElement>(null);
  useLinkedScroll(scroller);
  const hung = hang(pegs, lintel.today, CLUSTER_DAYS / ZOOMS[zoom]);

  // The strip is wider than a phone, and than the window once zoomed: bring today to its left.
  useEffect(() => {
    const box = scroller.current;
    if (!box) return;
    const today = (along(lintel, lintel.today) / 100) * box.scrollWidth;
    box.scrollLeft = Math.max(0, today - Math.min(0.16 * box.clientWidth, 160));
  }, [lintel, zoom]);

  return (
    <nav aria-label="The year and what hangs from it" className="no-print relative">
      {/* One stop for the tab key; the arrows walk from peg to peg, then to the two buttons. */}
      <Toolbar.Root loop={false} aria-label="What hangs from the year">
        <div
          ref={scroller}
          className="[scrollbar-width:none] overflow-x-auto overflow-y-hidden"
          tabIndex={-1}
        >
          <div
            style={{ "--zoom": ZOOMS[zoom] } as React.CSSProperties}
            className="relative w-[870%] wide:w-[calc(100%*var(--zoom))]"
          >
            <div className="relative h-11 border-y-[5px] border-ink bg-surface wide:h-[5.75rem]">
              <Beam lintel={lintel} zoom={ZOOMS[zoom]} />
              {!hasRunHours && (
                <p className="absolute top-1/2 left-[12%] -translate-y-1/2 bg-surface px-2 text-second">
                  The hours your machines run will rise here.
                </p>
              )}
              <Keystone lintel={lintel} />
            </div>
            {/* On the smallest screens the pegs give way to what the page is for. */}
            <div
              data-today={isToday || undefined}
              className="relative h-11 wide:h-14 short:not-data-today:hidden"
            >
              {hung.map((group) => (
                <PegGroup key={group.pegs[0]!.id} {...{ homeId, lintel, pegsPath, group }} />
              ))}
            </div>
          </div>
        </div>
        <div className="absolute bottom-1.5 left-4 hidden bg-ground wide:flex">
          {STEPS.map(({ by, sign, words }) => (
            <Toolbar.Button
              key={words}
              aria-label={words}
              title={words}
              disabled={ZOOM_NAMES[ZOOM_NAMES.indexOf(zoom) + by] === undefined}
              onClick={() => setZoom(ZOOM_NAMES[ZOOM_NAMES.indexOf(zoom) + by] ?? zoom)}
              className="size-8 border-[1.5px] border-second text-lg leading-none disabled:border-rule disabled:text-second"
            >
              {sign}
            </Toolbar.Button>
          ))}
        </div>
      </Toolbar.Root>
    </nav>
  );
}

function Keystone({ lintel }: { lintel: Pick<LintelData, "from" | "to" | "today"> }) {
  return (
    <div
      style={{ left: `${along(lintel, lintel.today)}%` }}
      className="absolute -inset-y-[5px] z-10 flex w-14 -translate-x-1/2 flex-col items-center justify-center bg-attention text-[0.8125rem] leading-tight font-semibold text-attention-ink [clip-path:polygon(0_0,100%_0,86%_100%,14%_100%)]"
    >
      <span>today</span>
      <span className="hidden wide:inline">{dayAndMonth(lintel.today, lintel.today)}</span>
    </div>
  );
}

function PegGroup({
  homeId,
  lintel,
  pegsPath,
  group,
}: {
  homeId: string;
  lintel: Pick<LintelData, "from" | "to" | "today">;
  pegsPath: string;
  group: Hung;
}) {
  const { pegs, past } = group;
  const first = pegs[0]!;
  const lines = pegs.flatMap((peg) => peg.lines);
  const minutes = pegs.reduce((sum, peg) => sum + peg.minutes, 0);
  const length = Math.min(LONGEST, SHORTEST + minutes / MINUTES_PER_PX);
  const at = past ? along(lintel, lintel.today) : along(lintel, first.day);
  return (
    <div
      // The last ones stay whole at the beam's end.
      style={{ left: `min(${at}%, calc(100% - ${PEG_HALF}px))` }}
      className="group absolute top-0 -translate-x-1/2"
    >
      <Toolbar.Link asChild>
        <Link
          href={`/homes/${homeId}/${pegs.length > 1 ? pegsPath : first.path}`}
          aria-label={lines.join("; ")}
          data-past={past || undefined}
          data-what={first.what}
          className="flex h-11 w-11 justify-center wide:h-12"
        >
          {past ? (
            <Fallen what={first.what} />
          ) : (
            <Hanging
              length={length}
              soon={daysFrom(lintel.today, first.day) <= 7}
              what={first.what}
            />
          )}
        </Link>
      </Toolbar.Link>
      <div
        aria-hidden="true"
        data-side={at > 75 ? "left" : at < 12 ? "right" : "middle"}
        className="pointer-events-none absolute top-11 z-20 hidden w-max max-w-72 border-l-4 border-amber bg-slate px-3 py-2 text-sm text-on-slate group-focus-within:block group-hover:block data-[side=left]:right-0 data-[side=middle]:left-1/2 data-[side=middle]:-translate-x-1/2 data-[side=right]:left-0"
      >
        {lines.slice(0, MOST_LINES).map((line) => (
          <p key={line}>{line}</p>
        ))}
        {lines.length > MOST_LINES && <p>and {lines.length - MOST_LINES} more</p>}
      </div>
    </div>
  );
}

/** What hangs there, 20 px wide: a filter in its frame, a crossbar for a visit, a warning’s diamond, else a weight. */
function Weight({ what }: { what: PegWhat }) {
  switch (what) {
    case "filter":
      return (
        <>
          <rect x="2.5" y="1" width="15" height="10" fill="none" strokeWidth="2" />
          <path d="M4.5 9 L7.5 3 L10 9 L12.5 3 L15.5 9" fill="none" strokeWidth="1.5" />
        </>
      );
    case "visit":
      return <rect x="0" y="0" width="20" height="7" strokeWidth="0" />;
    case "safety":
      return <path d="M10 0 L17 6.5 L10 13 L3 6.5 Z" strokeWidth="0" />;
    case "job":
      return <rect x="5" y="0" width="10" height="10" strokeWidth="0" />;
  }
}

function Hanging({ length, soon, what }: { length: number; soon: boolean; what: PegWhat }) {
  return (
    <svg
      aria-hidden="true"
      width="22"
      height={length + 14}
      className={soon ? "fill-attention stroke-attention" : "fill-ink stroke-ink"}
    >
      <line x1="11" x2="11" y1="0" y2={length} strokeWidth="2" />
      <g transform={`translate(1 ${length})`}>
        <Weight what={what} />
      </g>
    </svg>
  );
}

/** A peg off its hook, lying on its side. */
function Fallen({ what }: { what: PegWhat }) {
  return (
    <svg aria-hidden="true" width="44" height="44" className="fill-attention stroke-attention">
      <line x1="2" x2="22" y1="37" y2="35" strokeWidth="2" />
      <g transform="translate(22 42) rotate(-95)">
        <Weight what={what} />
      </g>
    </svg>
  );
}
