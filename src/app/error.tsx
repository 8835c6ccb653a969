"use client";

import { TroubleView } from "@/ui/trouble-view";
import { UrgentLink } from "@/ui/urgent-link";

export default function ErrorPage(props: { error: Error; reset: () => void }) {
  return (
    <main>
      <p className="mx-auto flex max-w-2xl justify-end px-4 pt-4">
        <UrgentLink href="/emergency">Emergency</UrgentLink>
      </p>
      <TroubleView {...props} />
    </main>
  );
}
