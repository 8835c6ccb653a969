"use client";

import { TroubleView } from "@/ui/trouble-view";

export default function ErrorPage(props: { error: Error; reset: () => void }) {
  return (
    <main>
      <TroubleView {...props} />
    </main>
  );
}
