"use client";

import dynamic from "next/dynamic";
import { useEffect } from "react";
import { loadDialogBox } from "./run-dialogs";

const runAsks = () => import("./run-asks");
const records = () => import("../step/step-record");
const plates = () => import("../step/plate-card");
const calculators = () => import("../step/step-bench");
const pictures = () => import("../pictures/photos");
/** What the first picture taken is sent with. */
const sending = () => import("@/ui/send-picture");

/** What a run asks in passing. */
export const RunAsks = dynamic(runAsks, { ssr: false });

/** The pictures of a run so far. */
export const PhotoStrip = dynamic(() => pictures().then((each) => each.PhotoStrip));

/**
 * Fetches what a run shows later as soon as its screen stands: nobody waits for it, and it is there
 * before anybody presses, also where the server is lost a moment later.
 */
export function useLaterParts(): void {
  // What the browser has fetched React does not know.
  useEffect(() => {
    for (const load of [loadDialogBox, runAsks, records, plates, calculators, pictures, sending])
      void load().catch(() => undefined);
  }, []);
}
