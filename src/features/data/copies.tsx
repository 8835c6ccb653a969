import { agoWords, capitalised, dateWords, listWords } from "@/core/quantities/words";
import { todayHere } from "@/lib/clock";
import type { CopyHere } from "@/server/snapshots/backup";
import { BringCopy } from "./bring-copy";
import { PutBackPress } from "./put-back-press";

/** Where a copy comes from, in words. */
const KIND_WORDS = {
  daily: "made by itself",
  asked: "made when somebody asked for it",
  brought: "brought by its file",
  aside: "what stood here until a copy was put back",
} as const;

const SIZE = new Intl.NumberFormat("en", {
  style: "unit",
  unit: "megabyte",
  maximumFractionDigits: 1,
});
const COUNT = new Intl.NumberFormat("en");
const BYTES_PER_MB = 1_000_000;

const holdsWords = ({ holds, bytes }: CopyHere): string => {
  const size = SIZE.format(bytes / BYTES_PER_MB).replace(" ", "\u00a0");
  if (!holds) return `${size}; it cannot be read, and is left as it is`;
  const homes = holds.homes.length > 0 ? listWords(holds.homes) : "no home";
  return `${homes}; ${COUNT.format(holds.entries)} ${holds.entries === 1 ? "entry" : "entries"}, ${size}`;
};

/** The copies that lie beside the database, each to be put back, and one saved elsewhere to be brought. */
export function Copies({ copies, homes }: { copies: readonly CopyHere[]; homes: string[] }) {
  const today = todayHere();
  return (
    <section aria-labelledby="copies" className="mt-8 border-t-[3px] border-ink pt-2.5">
      <h2 id="copies" className="text-lg">
        {homes.length > 0 || copies.length === 0
          ? "Go back to a copy"
          : "Something was here before"}
      </h2>
      <p className="mt-1 max-w-3xl text-second">
        A copy of everything is made once a day while Amber Lintel runs: the last seven days are
        kept, and one of each month before. Put back, it takes the place of all that is here now,
        which is kept as a copy in its turn.
      </p>
      <BringCopy />
      <ul className="mt-3 border-t border-rule">
        {copies.map((copy) => (
          <li
            key={`${copy.kind} ${copy.name}`}
            className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-6 gap-y-1 border-b border-rule py-2 wide:grid-cols-[13rem_minmax(0,1fr)_auto]"
          >
            <p>
              <strong className="block">{dateWords(copy.day, today)}</strong>
              <span className="text-second">{agoWords(copy.day, today)}</span>
            </p>
            <p className="min-w-0 break-words">
              {holdsWords(copy)}
              <span className="block text-second">{capitalised(KIND_WORDS[copy.kind])}</span>
            </p>
            <div className="col-start-2 row-span-2 row-start-1 wide:col-start-3 wide:row-span-1">
              {copy.holds && (
                <PutBackPress
                  copy={{ kind: copy.kind, name: copy.name }}
                  day={dateWords(copy.day, today)}
                  origin={KIND_WORDS[copy.kind]}
                  now={homes.length > 0 ? listWords(homes) : null}
                />
              )}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
