import type { ReactNode } from "react";
import type { Procedure } from "@/core/runs/procedure";
import { QUALIFICATION_WORDS } from "@/presentation/task-words";
import { LinkButton } from "@/ui/button";
import { PrintButton } from "@/ui/print-button";
import type { JobPlace } from "./procedures-queries";

/** A procedure to read through beforehand, and the places it can be started at. */
export function ProcedureView({
  job,
  places,
  start,
  change,
}: {
  job: Procedure;
  places: JobPlace[];
  start: (jobId: string) => ReactNode;
  /** Where it is copied and changed, or changed if it is one’s own. */
  change: { href: string; words: string };
}) {
  const things = [
    ...new Set(job.steps.flatMap(({ tools = [], consumables = [] }) => [...tools, ...consumables])),
  ];
  const named = new Map(job.variants?.map(({ id, name }) => [id, name]));
  return (
    <div className="grid gap-x-12 gap-y-6 wide:grid-cols-[minmax(0,1fr)_22rem]">
      <div>
        <h1 className="text-[1.75rem]">{job.title}</h1>
        <p className="mt-1 text-second">
          About {job.handsOnMinutes} minutes, for {QUALIFICATION_WORDS[job.who].name}.
        </p>
        <div className="no-print mt-2 mb-4 flex flex-wrap gap-3">
          <LinkButton href={change.href}>{change.words}</LinkButton>
          <PrintButton />
        </div>
        <ol>
          {job.steps.map((step, i) => (
            <li
              key={step.id}
              className="grid grid-cols-[2.5rem_minmax(0,1fr)] border-t border-rule py-2.5"
            >
              <span className="figures text-second">{i + 1}</span>
              <div>
                {step.caution && (
                  <p className="border-l-4 border-attention pl-3 font-medium">{step.caution}</p>
                )}
                <p className="font-semibold">
                  {step.title}
                  {step.variants && (
                    <span className="font-normal text-second">
                      {` (${step.variants.map((id) => named.get(id) ?? id).join(", ")})`}
                    </span>
                  )}
                  {step.who === "licensed" && (
                    <span className="font-normal text-attention-text"> licensed work</span>
                  )}
                </p>
                {step.detail && <p className="text-second">{step.detail}</p>}
              </div>
            </li>
          ))}
        </ol>
      </div>
      <aside className="flex flex-col gap-5">
        {things.length > 0 && (
          <section className="border-t-[3px] border-ink pt-3">
            <h2 className="text-lg">Bring</h2>
            <ul className="list-disc pl-5">
              {things.map((thing) => (
                <li key={thing}>{thing}</li>
              ))}
            </ul>
          </section>
        )}
        {places.length > 0 && (
          <section className="border-t-[3px] border-ink pt-3">
            <h2 className="text-lg">Do it at</h2>
            <ul>
              {places.map(({ jobId, words }) => (
                <li
                  key={jobId}
                  className="flex items-center justify-between gap-3 border-b border-rule py-2"
                >
                  {words}
                  {start(jobId)}
                </li>
              ))}
            </ul>
          </section>
        )}
      </aside>
    </div>
  );
}
