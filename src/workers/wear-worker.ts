import { expose } from "comlink";
import { AS_IT_IS, whatIf, type WhatIf, type WhatIfResult } from "@/core/filters/what-if";
import type { WearInput } from "@/core/filters/wear-schema";

export type WearAnswer = {
  result: WhatIfResult;
  /** Days a new filter lasts if nothing changes. */
  usuallyLasts: number | null;
};

/** Answers what a filter would do, off the page’s own thread: sliders ask many times a second. */
const answering = {
  whatIf: (input: WearInput, change: WhatIf): WearAnswer => ({
    result: whatIf(input, change),
    usuallyLasts: whatIf(input, AS_IT_IS).newOneLasts,
  }),
};
export type WearWorker = typeof answering;

expose(answering);
