import { AS_IT_IS, whatIf, type WhatIf, type WhatIfResult } from "@/core/wear/what-if";
import type { WearInput } from "@/core/wear/wear-schema";

export type WearQuestion = { nth: number; input: WearInput; change: WhatIf; lifeShare: number };
export type WearAnswer = {
  nth: number;
  result: WhatIfResult;
  /** Days the next filter lasts if nothing changes. */
  usuallyLasts: number | null;
};

/** Answers what a filter would do, off the page’s own thread: sliders ask many times a second. */
self.addEventListener("message", ({ data }: MessageEvent<WearQuestion>) => {
  const answer: WearAnswer = {
    nth: data.nth,
    result: whatIf(data.input, data.change, data.lifeShare),
  };
  self.postMessage(answer);
});
