import { Button } from "@/ui/button";
import type { ShownPlan, YearPage } from "./year-queries";

const HOUR = 60;
const MOST_CHANGES = 6;

/** The draft beside the plan that counts: what each comes to, and what is different, in words. */
export function Compared({
  page: { current, changes },
  draft,
  shown,
  busy,
  onShow,
  onPublish,
  onDiscard,
}: {
  page: YearPage;
  draft: ShownPlan;
  shown: ShownPlan["kind"];
  busy: boolean;
  onShow: (kind: ShownPlan["kind"]) => void;
  onPublish: () => void;
  onDiscard: () => void;
}) {
  return (
    <section
      aria-label="The draft"
      className="mt-4 border-[1.5px] border-dashed border-ink bg-surface px-4 py-3"
    >
      <div className="flex flex-wrap items-center justify-between gap-x-8 gap-y-2">
        <h2 className="text-xl">
          {current ? "A draft beside the plan" : "A draft: nothing counts before it is published"}
        </h2>
        <div className="flex flex-wrap gap-3">
          <Button weight="strong" pending={busy} onClick={onPublish}>
            Publish the draft
          </Button>
          <Button pending={busy} onClick={onDiscard}>
            Put it away
          </Button>
        </div>
      </div>
      {current && (
        <div className="mt-2 grid gap-x-10 gap-y-3 wide:grid-cols-[minmax(22rem,auto)_minmax(0,1fr)]">
          <table className="figures h-fit w-full text-left">
            <thead className="text-second">
              <tr>
                <th scope="col" className="py-1 pr-4 font-normal">
                  <span className="sr-only">Plan</span>
                </th>
                <th scope="col" className="py-1 pr-4 font-normal">
                  rounds
                </th>
                <th scope="col" className="py-1 pr-4 font-normal">
                  visits
                </th>
                <th scope="col" className="py-1 pr-4 font-normal">
                  hours
                </th>
                <th scope="col" className="py-1 font-normal">
                  past its window
                </th>
              </tr>
            </thead>
            <tbody>
              <Sums name="Now" plan={current} isShown={shown === "current"} onShow={onShow} />
              <Sums name="The draft" plan={draft} isShown={shown === "draft"} onShow={onShow} />
            </tbody>
          </table>
          <div>
            <h3 className="font-sans font-semibold">
              {changes.length === 0
                ? "Nothing is different."
                : changes.length === 1
                  ? "One thing is different"
                  : `${changes.length} things are different`}
            </h3>
            <Changes changes={changes.slice(0, MOST_CHANGES)} />
            {changes.length > MOST_CHANGES && (
              <details>
                <summary className="min-h-11 py-2 text-link">
                  and {changes.length - MOST_CHANGES} more
                </summary>
                <Changes changes={changes.slice(MOST_CHANGES)} />
              </details>
            )}
          </div>
        </div>
      )}
    </section>
  );
}

const Changes = ({ changes }: { changes: YearPage["changes"] }) => (
  <ul>
    {changes.map(({ id, words }) => (
      <li key={id} className="border-b border-rule py-1">
        {words}
      </li>
    ))}
  </ul>
);

function Sums({
  name,
  plan: { kind, sums },
  isShown,
  onShow,
}: {
  name: string;
  plan: ShownPlan;
  isShown: boolean;
  onShow: (kind: ShownPlan["kind"]) => void;
}) {
  return (
    <tr className="border-t border-rule">
      <th scope="row" className="pr-4 font-normal">
        <button
          type="button"
          aria-pressed={isShown}
          onClick={() => onShow(kind)}
          className="min-h-11 text-left text-link aria-pressed:font-semibold aria-pressed:text-ink"
        >
          {name}
          {isShown ? ", shown below" : ": show it"}
        </button>
      </th>
      <td className="pr-4">{sums.rounds}</td>
      <td className="pr-4">{sums.visits}</td>
      <td className="pr-4">{Math.round(sums.minutes / HOUR)}</td>
      <td>{sums.late}</td>
    </tr>
  );
}
