import type { ReactNode } from "react";
import { capitalised } from "@/core/quantities/words";
import type { Brief, BriefReading } from "./brief";

/** What a technician wants to know before setting out: on one sheet, to print or to send. */
export function BriefView({
  brief: { title, intro, bring, machines, deferred, questions },
}: {
  brief: Brief;
}) {
  return (
    <article className="max-w-4xl">
      <h1 className="text-[1.75rem]">{title}</h1>
      <p className="mt-1">{intro}</p>
      {bring.length > 0 && (
        <Part title="Please bring">
          <ul>
            {bring.map(({ id, what, why }) => (
              <li key={id} className="border-b border-rule py-1.5">
                <strong>{what}</strong>: {why}
              </li>
            ))}
          </ul>
        </Part>
      )}
      {machines.map(({ id, name, facts, readings }) => (
        <Part key={id} title={name}>
          <dl className="grid grid-cols-[7.5rem_minmax(0,1fr)] gap-x-4">
            {facts.map(([fact, words]) => (
              <div
                key={fact}
                className="col-span-2 grid grid-cols-subgrid border-b border-rule py-1.5"
              >
                <dt className="text-second">{fact}</dt>
                <dd>{words}</dd>
              </div>
            ))}
          </dl>
          {readings.length > 0 && <Readings of={name} rows={readings} />}
        </Part>
      ))}
      {deferred.length > 0 && (
        <Part title="Put off before">
          <ul>
            {deferred.map((words) => (
              <li key={words} className="border-b border-rule py-1.5">
                {words}
              </li>
            ))}
          </ul>
        </Part>
      )}
      {questions && (
        <Part title="We want to ask">
          <p className="whitespace-pre-line">{questions}</p>
        </Part>
      )}
    </article>
  );
}

function Readings({ of, rows }: { of: string; rows: readonly BriefReading[] }) {
  return (
    <table className="mt-3 w-full text-left">
      <caption className="sr-only">Readings of {of}, the last and those before</caption>
      <thead>
        <tr className="text-second">
          {["Read", "Last", "Before"].map((head) => (
            <th key={head} scope="col" className="font-normal">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ key, name, last, before, trend }) => (
          <tr key={key} className="figures border-t border-rule align-top">
            <th scope="row" className="py-1.5 pr-4 font-semibold">
              {name}
            </th>
            <td className="py-1.5 pr-4 whitespace-nowrap">{last}</td>
            <td className="py-1.5">
              {before}
              {trend && <span className="block text-second">{capitalised(trend)}.</span>}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <section className="mt-5 break-inside-avoid">
    <h2 className="border-b-[3px] border-ink text-lg">{title}</h2>
    {children}
  </section>
);
