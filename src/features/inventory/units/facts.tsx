import type { ReactNode } from "react";

export type Fact = readonly [name: string, value: ReactNode];

/** What is known of a thing, a line each; what is not known is left out. */
export function Facts({ facts }: { facts: readonly Fact[] }) {
  const filled = facts.filter(([, value]) => Boolean(value));
  if (filled.length === 0) return null;
  return (
    <dl className="grid grid-cols-[5.75rem_minmax(0,1fr)] border-b border-rule">
      {filled.map(([name, value]) => (
        <div key={name} className="col-span-2 grid grid-cols-subgrid border-t border-rule py-2">
          <dt className="text-second">{name}</dt>
          <dd className="figures [overflow-wrap:anywhere]">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
