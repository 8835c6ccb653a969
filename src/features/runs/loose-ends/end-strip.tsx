"use client";

import { Link } from "@/ui/link";
import { usePathname } from "next/navigation";
import { useEffect, useState } from "react";
import { Bracket } from "@/ui/bracket";
import { headOf } from "./left-open-words";
import type { OpenNow } from "./loose-ends-queries";

/** Asks again what is open whenever a page is shown: the browser keeps pages, and what stood on them. */
function useOpenNow(homeId: string, initial: OpenNow): OpenNow {
  const path = usePathname();
  const [fresh, setFresh] = useState<OpenNow | null>(null);
  // The network, and the browser's own way of showing a kept page, are outside React.
  useEffect(() => {
    let isGone = false;
    const ask = async () => {
      const response = await fetch(`/api/v1/homes/${homeId}/left-open`).catch(() => null);
      if (!response?.ok || isGone) return;
      const answer = (await response.json().catch(() => null)) as OpenNow | null;
      if (answer && !isGone) setFresh(answer);
    };
    const onShow = () => {
      if (document.visibilityState === "visible") void ask();
    };
    void ask();
    window.addEventListener("pageshow", onShow);
    document.addEventListener("visibilitychange", onShow);
    return () => {
      isGone = true;
      window.removeEventListener("pageshow", onShow);
      document.removeEventListener("visibilitychange", onShow);
    };
  }, [homeId, path]);
  return fresh && fresh.now >= initial.now ? fresh : initial;
}

/** On every page of a home while something is open: what, and the way to it. Today lists it whole. */
export function EndStrip({
  homeId,
  initial,
  unitNames,
}: {
  homeId: string;
  initial: OpenNow;
  unitNames: Record<string, string>;
}) {
  const { left, frost, now } = useOpenNow(homeId, initial);
  const isToday = usePathname() === `/homes/${homeId}`;
  const [first] = left;
  const others = left.length - 1;
  return (
    <>
      {first && !isToday && (
        <aside aria-label="Left open" className="no-print">
          <Link
            href={first.runId ? `/runs/${first.runId}` : `/homes/${homeId}#left-open`}
            className="flex min-h-11 items-center gap-3 bg-wash px-4 py-1.5 text-ink no-underline hover:underline wide:px-7"
          >
            <Bracket height={24} />
            <span>
              <strong>Left open:</strong> {unitNames[first.unit] ?? "the house"},{" "}
              {headOf(first, now)}
              {others > 0 && `, and ${others} more`}
            </span>
          </Link>
        </aside>
      )}
      {frost && (
        <p
          role="alert"
          className="no-print border-l-[6px] border-attention bg-wash px-4 py-2 font-medium wide:px-7"
        >
          {frost}
        </p>
      )}
    </>
  );
}
