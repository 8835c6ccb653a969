"use client";

import dynamic from "next/dynamic";
import type { DialogBoxProps } from "./dialog-box";

export const loadDialogBox = () => import("./dialog-box");
const DialogBox = dynamic(loadDialogBox, { ssr: false });

/** What a run asks in passing, from the foot of the screen where the thumb is. */
export const RunDialog = (props: Omit<DialogBoxProps, "from">) => (
  <DialogBox {...props} from="foot" />
);

/** What a run shows when asked, from the head of the screen. */
export const RunSheetDialog = (props: Omit<DialogBoxProps, "from">) => (
  <DialogBox {...props} from="head" />
);
