import { Button } from "@/ui/button";
import type { ShownPlan, YearPage } from "./year-queries";

const HOUR = 60;

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
      className="mt-3 border-[1.5px] border-dashed border-ink bg-surface px-4 pt-2 pb-1"
    >
      <div className="flex flex-wrap items-center justify-between gap-x-8 gap-y-2">
        {current ? (
          <table className="figures text-left max-wide:block">
            <thead className="sr-only">
              <tr>
                {["Plan", "Rounds", "Visits", "Hours", "Past their window"].map((head) => (
                  <th key={head} scope="col">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody className="max-wide:block">
              <Sums name="The draft" plan={draft} isShown={shown === "draft"} onShow={onShow} />
              <Sums name="Now" plan={current} isShown={shown === "current"} onShow={onShow} />
            </tbody>
          </table>
        ) : (
          <h2 className="font-sans text-base font-semibold">
            This is a draft: nothing counts before it is published.
          </h2>
        )}
        <div className="flex flex-wrap gap-3">
          <Button weight="strong" pending={busy} onClick={onPublish}>
            Publish the draft
          </Button>
          <Button pending={busy} onClick={onDiscard}>
            Put it away
          </Button>
        </div>
      </div>
      {current && changes.length > 0 && (
        <details>
          <summary className="min-h-11 py-2 text-link">
            {changes.length === 1
              ? "One thing is different"
              : `${changes.length} things are different`}
          </summary>
          <ul className="grid gap-x-10 pb-2 wide:grid-cols-2">
            {changes.map(({ id, words }) => (
              <li key={id} className="border-b border-rule py-1">
                {words}
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

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
  const cells = [
    counted(sums.rounds, "round"),
    counted(sums.visits, "visit"),
    counted(Math.round(sums.minutes / HOUR), "hour"),
    `${sums.late} well past their window`,
  ];
  return (
    <tr className="max-wide:mb-2 max-wide:flex max-wide:flex-wrap max-wide:gap-x-3">
      <th scope="row" className="pr-6 font-normal max-wide:w-full">
        <button
          type="button"
          aria-pressed={isShown}
          onClick={() => onShow(kind)}
          className="min-h-9 text-left text-link aria-pressed:font-semibold aria-pressed:text-ink"
        >
          {name}
          <span className="font-normal text-second">{isShown ? ", below" : ": show it"}</span>
        </button>
      </th>
      {cells.map((words) => (
        <td key={words} className="whitespace-nowrap wide:pr-6">
          {words}
        </td>
      ))}
    </tr>
  );
}

const counted = (n: number, one: string): string => `${n} ${one}${n === 1 ? "" : "s"}`;
