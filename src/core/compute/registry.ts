import type { z } from "zod";
import { filterFit, filterFitInput, filterFitOutput } from "../bench/filter-fit";
import {
  ratingCrosswalk,
  ratingCrosswalkInput,
  ratingCrosswalkOutput,
} from "../bench/rating-crosswalk";
import { registersInput, registersOutput, registersVerdict } from "../bench/registers";
import { climateDays, climateInput, climateOutput } from "../climate/climate";
import { runHours, runHoursInput, runHoursOutput } from "../climate/run-hours";
import { looseEnds, looseEndsInput, looseEndsOutput } from "../procedures/loose-ends";
import { wear } from "../wear/wear";
import { wearInput, wearOutput } from "../wear/wear-schema";

/** A function of the core as the outside sees it. */
export type ComputeFunction = {
  name: string;
  summary: string;
  input: z.ZodType;
  output: z.ZodType;
  /** Parses, computes; throws a ZodError on input it refuses. */
  run: (raw: unknown) => unknown;
};

function define<I extends z.ZodType, O extends z.ZodType>(definition: {
  name: string;
  summary: string;
  input: I;
  output: O;
  run: (input: z.output<I>) => z.output<O>;
}): ComputeFunction {
  const { name, summary, input, output, run } = definition;
  return { name, summary, input, output, run: (raw) => run(input.parse(raw)) };
}

export const COMPUTE_FUNCTIONS: readonly ComputeFunction[] = [
  define({
    name: "climate",
    summary:
      "Daily mean temperatures from monthly normals and actual days, and the turns of the seasons.",
    input: climateInput,
    output: climateOutput,
    run: climateDays,
  }),
  define({
    name: "run-hours",
    summary: "Hours a day an air system heats, cools and runs, by its model or as measured.",
    input: runHoursInput,
    output: runHoursOutput,
    run: runHours,
  }),
  define({
    name: "wear",
    summary: "When a filter or run-hour part is due at its place, between which days, and why.",
    input: wearInput,
    output: wearOutput,
    run: wear,
  }),
  define({
    name: "loose-ends",
    summary: "What is still left open, in which order to close it, and what has to wait.",
    input: looseEndsInput,
    output: looseEndsOutput,
    run: looseEnds,
  }),
  define({
    name: "filter-fit",
    summary: "How a filter sits in its slot, and how much of the air slips past it.",
    input: filterFitInput,
    output: filterFitOutput,
    run: filterFit,
  }),
  define({
    name: "rating-crosswalk",
    summary: "A filter rating in the other schemes, about, with the least it promises.",
    input: ratingCrosswalkInput,
    output: ratingCrosswalkOutput,
    run: ratingCrosswalk,
  }),
  define({
    name: "registers",
    summary: "Whether too many registers are shut, and how many have to be opened.",
    input: registersInput,
    output: registersOutput,
    run: registersVerdict,
  }),
];
