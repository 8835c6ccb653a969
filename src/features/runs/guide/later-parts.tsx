"use client";

import dynamic from "next/dynamic";
import { useEffect } from "react";
import type { DialogBoxProps } from "./dialog-box";

const dialogBox = () => import("./dialog-box");
const runAsks = () => import("./run-asks");
const records = () => import("../step/step-record");
const calculators = () => import("../step/step-bench");

const DialogBox = dynamic(dialogBox, { ssr: false });

/** What a run asks in passing. */
export const RunAsks = dynamic(runAsks, { ssr: false });

/**
 * Fetches what a run shows later as soon as its screen stands: nobody waits for it, and it is there
 * before anybody presses, also where the server is lost a moment later.
 */
export function useLaterParts(): void {
  // What the browser has fetched React does not know.
  useEffect(() => {
    for (const load of [dialogBox, runAsks, records, calculators])
      void load().catch(() => undefined);
  }, []);
}

/** What a run asks in passing, from the foot of the screen where the thumb is. */
export const RunDialog = (props: Omit<DialogBoxProps, "from">) => (
  <DialogBox {...props} from="foot" />
);

/** What a run shows when asked, from the head of the screen. */
export const RunSheetDialog = (props: Omit<DialogBoxProps, "from">) => (
  <DialogBox {...props} from="head" />
);
