import { scaleLinear } from "d3-scale";
import { toDay, type PlainDate } from "@/core/quantities/plain-date";

/** Where a day lies along a stretch of days, percent of its length: a day is as wide as any other. */
export const along = ({ from, to }: { from: PlainDate; to: PlainDate }, date: PlainDate): number =>
  scaleLinear([toDay(from) - 0.5, toDay(to) + 0.5], [0, 100])(toDay(date));
