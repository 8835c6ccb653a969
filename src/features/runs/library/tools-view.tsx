import { capitalised } from "@/core/quantities/words";
import type { Wanted } from "@/core/runs/bring-list";
import type { ToolList } from "./library-queries";

/** So many jobs are named beside a thing; of more, how many there are. */
const NAMED = 2;

/** What a house needs for all its jobs: to hang beside the tools, and to take to the shop. */
export function ToolsView({ list: { tools, consumables, own } }: { list: ToolList }) {
  return (
    <div className="grid gap-x-12 gap-y-8 wide:grid-cols-2">
      <Things title="Tools" things={tools} />
      <div className="flex flex-col gap-8">
        <Things title="Used up" things={consumables} />
        {own.length > 0 && (
          <section>
            <h2 className="border-b-[3px] border-ink text-xl">Tools of one thing alone</h2>
            <ul>
              {own.map(({ tool, hangs, of }) => (
                <li key={`${of} ${tool}`} className="border-b border-rule py-2">
                  <strong>{tool}</strong>
                  {hangs !== "" && `, hangs ${hangs}`}
                  <span className="block text-second">{of}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
    </div>
  );
}

function Things({ title, things }: { title: string; things: readonly Wanted[] }) {
  return (
    <section aria-label={title}>
      <h2 className="border-b-[3px] border-ink text-xl">{title}</h2>
      <ul>
        {things.map(({ thing, jobs }) => (
          <li
            key={thing}
            className="grid break-inside-avoid grid-cols-[1.5rem_minmax(0,1fr)] border-b border-rule py-2"
          >
            <span aria-hidden="true" className="mt-1 size-4 border-2 border-second" />
            <div>
              <strong>{capitalised(thing)}</strong>
              <p className="text-second">
                {jobs.slice(0, NAMED).join("; ")}
                {jobs.length > NAMED && ` and ${jobs.length - NAMED} more`}
              </p>
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
