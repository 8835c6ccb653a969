import { addDays, daysFrom, plainDate, type PlainDate } from "@/core/quantities/plain-date";
import { likelyDue, wearSummary } from "@/core/filters/wear";
import { wearInput, type WearInput } from "@/core/filters/wear-schema";
import { CLIMATE_STARTS } from "@/content/climates";

export type Example = {
  today: PlainDate;
  likely: PlainDate;
  early: PlainDate;
  late: PlainDate;
  percentNow: number;
  /** How long such a filter lasts, days, fitted as winter begins and as summer begins. */
  lasts: { winter: number; summer: number };
};

/** A winter’s day of any year: the climate is the same in each. */
const TODAY = plainDate("2026-01-09");
const WINTER = plainDate("2025-12-15");
const SUMMER = plainDate("2026-05-01");

const { monthlyMeanC, heatingDesignC, coolingDesignMeanC, dailyRangeC } = CLIMATE_STARTS[0]!;

/** A furnace in a cold place, with a pleated filter an inch deep and two shedding animals. */
const at = (today: PlainDate, fittedOn: PlainDate): WearInput =>
  wearInput.parse({
    today,
    fittedOn,
    climate: { monthlyMeanC, heatingDesignC, coolingDesignMeanC, dailyRangeC },
    equipment: { heats: true, cools: false, fan: { mode: "auto" } },
    slot: { media: "pleated-25", airSide: "recirculated", rating: { scheme: "MERV", class: "8" } },
    drivers: [{ kind: "shedding-pets", count: 2, id: "pets" }],
    looks: [],
  });

/** What the welcome page shows, worked out as for any home. */
export function exampleOf(): Example {
  const lasts = (fittedOn: PlainDate) =>
    daysFrom(fittedOn, likelyDue(at(fittedOn, fittedOn)) ?? addDays(fittedOn, 365));
  const { early, likely, late, percentNow } = wearSummary(at(TODAY, WINTER));
  return {
    today: TODAY,
    likely: likely ?? TODAY,
    early: early ?? TODAY,
    late: late ?? TODAY,
    percentNow,
    lasts: { winter: lasts(WINTER), summer: lasts(SUMMER) },
  };
}
