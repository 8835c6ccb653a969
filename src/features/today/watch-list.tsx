import { telOf } from "@/presentation/phone";
import { Link } from "@/ui/link";
import type { ReactNode } from "react";
import { Needle } from "@/ui/needle";
import type { Watch } from "./today-watch";

/** So many stand beside the day; the page of what is on watch has them all. */
const MOST_BESIDE = 8;

/** What is on watch, beside the day: the worst first. */
export function OnWatch({ homeId, watch }: { homeId: string; watch: readonly Watch[] }) {
  if (watch.length === 0) return null;
  return (
    <section aria-labelledby="watch" className="border-t-[3px] border-ink pt-3">
      <h2 id="watch" className="text-lg">
        On watch
      </h2>
      <ul>
        {watch.slice(0, MOST_BESIDE).map(({ verdict, words, href }) => (
          <li key={words} className="border-b border-rule">
            <Link
              href={`/homes/${homeId}/${href}`}
              className="flex min-h-11 items-start gap-3 py-2 no-underline hover:underline"
            >
              <Needle verdict={verdict} />
              {words}
            </Link>
          </li>
        ))}
      </ul>
      <Link
        href={`/homes/${homeId}/watch`}
        className="inline-flex min-h-11 items-center text-link underline underline-offset-4"
      >
        {watch.length > MOST_BESIDE
          ? `All ${watch.length}, and what comes next`
          : "What comes next of each"}
      </Link>
    </section>
  );
}

type Rows = {
  homeId: string;
  watch: readonly Watch[];
  /** The press that says it has gone again. */
  gone: (eventId: string) => ReactNode;
};

/** What must not run, before anything else: why, and what is done at once. */
export function StopList({ homeId, watch }: Pick<Rows, "homeId" | "watch">) {
  const stops = watch.filter(({ verdict }) => verdict === "stop");
  if (stops.length === 0) return null;
  return (
    <section aria-label="Leave it off" className="flex flex-col gap-3">
      {stops.map(({ words, now, href, next, call, emergency, stop }) => (
        <div
          key={words}
          className="flex items-start gap-4 border-l-[6px] border-attention bg-wash px-4 py-3"
        >
          <Needle verdict="stop" />
          <div className="min-w-0">
            <p className="text-lg font-semibold">{now ?? "Leave it off until it was seen to."}</p>
            <p>
              <Link href={`/homes/${homeId}/${href}`} className="text-ink">
                {words}
              </Link>
            </p>
            <div className="-ml-2 flex flex-wrap items-center gap-x-4">
              {call && <CallNow {...call} />}
              {emergency && (
                <Link
                  href={`/emergency/${homeId}/${emergency}`}
                  className="inline-flex min-h-11 items-center px-2 font-semibold text-link underline underline-offset-4"
                >
                  What to do now
                </Link>
              )}
              {next && (
                <Link
                  href={`/homes/${homeId}/${next.href}`}
                  className="inline-flex min-h-11 items-center px-2 text-link underline underline-offset-4"
                >
                  {next.words}
                </Link>
              )}
              {stop && <SeenTo homeId={homeId} stop={stop} />}
            </div>
          </div>
        </div>
      ))}
    </section>
  );
}

/** A stop ends by a word of who saw to it, and what was found. */
const SeenTo = ({ homeId, stop }: { homeId: string; stop: string }) => (
  <Link
    href={`/homes/${homeId}/stops/${stop}`}
    className="inline-flex min-h-11 items-center px-2 text-link underline underline-offset-4"
  >
    Seen to? Say by whom, and what was found
  </Link>
);

/** Who sees to a stop: one press calls. */
const CallNow = ({ name, phone }: NonNullable<Watch["call"]>) => (
  <a
    href={telOf(phone)}
    className="inline-flex min-h-11 items-center px-2 font-semibold text-link underline underline-offset-4"
  >
    Call now: {name}, <span className="figures ml-1">{phone}</span>
  </a>
);

/** Everything on watch, the worst first, each with where it is going and what is done next. */
export function WatchList({ homeId, watch, gone }: Rows) {
  return (
    <ul className="border-t-[3px] border-ink">
      {watch.map(({ verdict, words, trend, href, next, call, gone: eventId, stop }) => (
        <li
          key={words}
          className="grid grid-cols-[2.25rem_minmax(0,1fr)] items-start gap-x-4 border-b border-rule py-3 wide:grid-cols-[2.25rem_minmax(0,1fr)_22rem]"
        >
          <Needle verdict={verdict} />
          <div>
            <Link
              href={`/homes/${homeId}/${href}`}
              className="font-semibold no-underline hover:underline"
            >
              {words}
            </Link>
            {trend && <p className="text-second">{trend}</p>}
          </div>
          <div className="col-start-2 flex flex-wrap items-start gap-x-4 wide:col-start-3 wide:-mt-2.5">
            {call && <CallNow {...call} />}
            {next && (
              <Link
                href={`/homes/${homeId}/${next.href}`}
                className="inline-flex min-h-11 items-center text-link underline underline-offset-4"
              >
                {next.words}
              </Link>
            )}
            {eventId && gone(eventId)}
            {stop && <SeenTo homeId={homeId} stop={stop} />}
          </div>
        </li>
      ))}
    </ul>
  );
}
