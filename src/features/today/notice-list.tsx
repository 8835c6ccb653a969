"use client";

import { useTransition } from "react";
import { Button } from "@/ui/button";
import { putNoticeAway } from "./notice-actions";
import { NOTICES, type NoticeKind } from "./notices";

/** What this home has not been told yet; each goes for good when it is put away. */
export function NoticeList({ homeId, kinds }: { homeId: string; kinds: readonly NoticeKind[] }) {
  const [pending, startTransition] = useTransition();
  return kinds.map((kind) => {
    const { title, lines } = NOTICES[kind];
    return (
      <section
        key={kind}
        aria-label={title}
        className="flex flex-col items-start gap-2 border-l-4 border-ink bg-surface px-4 py-3"
      >
        <h2 className="text-lg">{title}</h2>
        {lines.map((line) => (
          <p key={line}>{line}</p>
        ))}
        <div className="-ml-2">
          <Button
            weight="quiet"
            pending={pending}
            onClick={() => startTransition(() => putNoticeAway(homeId, kind))}
          >
            Understood
          </Button>
        </div>
      </section>
    );
  });
}
