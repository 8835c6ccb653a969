"use client";

import { TroubleView } from "@/ui/trouble-view";

/** Inside the home: its views stay within reach. */
export default function HomeErrorPage(props: { error: Error; reset: () => void }) {
  return <TroubleView {...props} />;
}
