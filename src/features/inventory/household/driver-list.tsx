"use client";

import { Link } from "@/ui/link";
import { undoToast } from "@/ui/toasts";
import { bringDriverBack, removeDriver } from "./household-actions";
import type { DriverRow } from "./household-queries";

export function DriverList({ homeId, rows }: { homeId: string; rows: DriverRow[] }) {
  const remove = async (row: DriverRow) => {
    await removeDriver(homeId, row.id);
    undoToast(`Removed: ${row.name}`, () => bringDriverBack(homeId, row.id));
  };
  return (
    <ul>
      {rows.map((row) => (
        <li
          key={row.id}
          className="flex flex-wrap items-center gap-x-4 border-t border-rule py-1.5"
        >
          <span className="min-w-0 grow basis-60">
            <strong>{row.name}</strong>
            <span className="text-second">{row.details && `, ${row.details}`}</span>
          </span>
          <Link
            href={`/homes/${homeId}/household?change=${row.id}`}
            aria-label={`Change: ${row.name}`}
            className="flex min-h-11 items-center px-2 text-link"
          >
            Change
          </Link>
          <button
            type="button"
            onClick={() => void remove(row)}
            aria-label={`Remove: ${row.name}`}
            className="min-h-11 px-2 text-link"
          >
            Remove
          </button>
        </li>
      ))}
    </ul>
  );
}
