import { AS_IT_IS, whatIf, type WhatIf, type WhatIfResult } from "@/core/filters/what-if";
import type { WearInput } from "@/core/filters/wear-schema";

export type WearQuestion = { nth: number; input: WearInput; change: WhatIf; lifeShare: number };
export type WearAnswer = {
  nth: number;
  result: WhatIfResult;
  /** Days a new filter lasts if nothing changes. */
  usuallyLasts: number | null;
};

/** Answers what a filter would do, off the page’s own thread: sliders ask many times a second. */
self.addEventListener("message", ({ data }: MessageEvent<WearQuestion>) => {
  const { nth, input, change, lifeShare } = data;
  const answer: WearAnswer = {
    nth,
    result: whatIf(input, change, lifeShare),
    usuallyLasts: whatIf(input, AS_IT_IS, lifeShare).newOneLasts,
  };
  self.postMessage(answer);
});
