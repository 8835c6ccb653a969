"use client";

import Link from "next/link";
import { usePathname } from "next/navigation";
import { END_WORDS } from "@/content/words";
import type { HomeEnds } from "@/core/register/home-ends";
import { Bracket } from "@/ui/bracket";

/** On every page of a home while something is open: what, and the way to it. Today lists it whole. */
export function EndStrip({
  homeId,
  ends,
  unitNames,
}: {
  homeId: string;
  ends: HomeEnds;
  unitNames: Record<string, string>;
}) {
  const isToday = usePathname() === `/homes/${homeId}`;
  const first = ends.open[0];
  if (!first || isToday) return null;
  const others = ends.open.length - 1;
  return (
    <aside aria-label="Left open" className="no-print">
      <Link
        href={`/homes/${homeId}#left-open`}
        className="flex min-h-11 items-center gap-3 bg-wash px-4 py-1.5 text-ink no-underline hover:underline wide:px-7"
      >
        <Bracket height={24} />
        <span>
          <strong>Left open:</strong> {unitNames[first.unit] ?? "a unit"},{" "}
          {END_WORDS[first.end].open}
          {others > 0 && `, and ${others} more`}
        </span>
      </Link>
    </aside>
  );
}
