"use client";

import dynamic from "next/dynamic";
import { useEffect } from "react";
import type { DialogBoxProps } from "./dialog-box";

const load = () => import("./dialog-box");
const DialogBox = dynamic(load, { ssr: false });

/**
 * Fetches what a run shows later as soon as its screen stands: nobody waits for it, and it is there
 * before anybody presses, also where the server is lost a moment later.
 */
export function useLaterParts(): void {
  // What the browser has fetched React does not know.
  useEffect(() => {
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
