import type { ReactNode } from "react";

/** The figures of a drawing as a table, behind a press. */
export function TableBehind({
  heads,
  children,
}: {
  heads: readonly string[];
  /** Its rows. */
  children: ReactNode;
}) {
  return (
    <details className="mt-1">
      <summary className="inline-flex min-h-11 items-center text-link underline underline-offset-4">
        The same as a table
      </summary>
      <table className="figures mt-1 w-full max-w-xl text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            {heads.map((head) => (
              <th key={head} className="py-1 pr-4">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>{children}</tbody>
      </table>
    </details>
  );
}
