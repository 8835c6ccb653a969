"use client";

import Link from "next/link";
import { usePathname } from "next/navigation";
import type { LeftOpen } from "@/core/register/home-ends";
import { Bracket } from "@/ui/bracket";
import { headOf } from "../left-open-words";

/** On every page of a home while something is open: what, and the way to it. Today lists it whole. */
export function EndStrip({
  homeId,
  left,
  now,
  unitNames,
}: {
  homeId: string;
  left: readonly LeftOpen[];
  now: string;
  unitNames: Record<string, string>;
}) {
  const isToday = usePathname() === `/homes/${homeId}`;
  const [first] = left;
  if (!first || isToday) return null;
  const others = left.length - 1;
  return (
    <aside aria-label="Left open" className="no-print">
      <Link
        href={first.runId ? `/runs/${first.runId}` : `/homes/${homeId}#left-open`}
        className="flex min-h-11 items-center gap-3 bg-wash px-4 py-1.5 text-ink no-underline hover:underline wide:px-7"
      >
        <Bracket height={24} />
        <span>
          <strong>Left open:</strong> {unitNames[first.unit] ?? "the house"}, {headOf(first, now)}
          {others > 0 && `, and ${others} more`}
        </span>
      </Link>
    </aside>
  );
}
