import { expose } from "comlink";
import {
  compareFilters,
  compareFiltersInput,
  type ComparedFilters,
} from "@/core/calculators/compare-filters";
import { addMonths, toDay } from "@/core/quantities/plain-date";
import { filtersInTurn } from "@/core/filters/wear";
import { AS_IT_IS, whatIf, type WhatIf, type WhatIfResult } from "@/core/filters/what-if";
import type { WearInput } from "@/core/filters/wear-schema";

export type WearAnswer = {
  result: WhatIfResult;
  /** Days a new filter lasts if nothing changes. */
  usuallyLasts: number | null;
};

/** Filters side by side, and for each the days on which one is changed for the next, from today on. */
export type Compared = { rows: ComparedFilters; from: number; days: number[][] };

const MONTHS_PER_YEAR = 12;

/** Answers what a filter would do, off the page’s own thread: sliders ask many times a second. */
const answering = {
  whatIf: (input: WearInput, change: WhatIf): WearAnswer => ({
    result: whatIf(input, change),
    usuallyLasts: whatIf(input, AS_IT_IS).newOneLasts,
  }),

  compare: ({
    wear: { slot, ...wear },
    years,
    options,
  }: {
    wear: WearInput;
    years: number;
    /** Each by its medium; prices in minor units. */
    options: { name: string; price: number; conversionCost: number }[];
  }): Compared => {
    // Each is fitted new today, at the pace that was learnt here; a maker’s hours are of the present one.
    const { baseHours: _, maxAgeDays: __, cleanDropPa: ___, ...place } = slot;
    const parsed = compareFiltersInput.parse({
      wear: { ...wear, fittedOn: wear.today },
      options: options.map((option) => ({
        ...option,
        slot: option.name === slot.media ? slot : { ...place, media: option.name },
      })),
      years,
    });
    const from = toDay(wear.today);
    const end = toDay(addMonths(wear.today, MONTHS_PER_YEAR * years));
    return {
      rows: compareFilters(parsed).options,
      from,
      days: parsed.wears.map((each) => filtersInTurn(each, end)),
    };
  },
};
export type WearWorker = typeof answering;

expose(answering);
