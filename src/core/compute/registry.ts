import { z } from "zod";
import { outOfBounds } from "./bounds";
import { filterFit, filterFitInput, filterFitOutput } from "../calculators/filter-fit";
import {
  ratingCrosswalk,
  ratingCrosswalkInput,
  ratingCrosswalkOutput,
} from "../calculators/rating-crosswalk";
import { registersInput, registersOutput, registersVerdict } from "../calculators/registers";
import { chain, chainInput, chainOutput } from "../scheduling/chain";
import { due, dueOutput } from "../scheduling/due";
import { judge, judgeInput, judgeOutput } from "../readings/judge";
import { trend, trendInput, trendOutput } from "../readings/trend";
import {
  filterResistance,
  filterResistanceInput,
  filterResistanceOutput,
} from "../calculators/filter-resistance";
import { airflow, airflowInput, airflowOutput } from "../calculators/airflow";
import {
  humidityLimit,
  humidityLimitInput,
  humidityLimitOutput,
} from "../calculators/humidity-limit";
import { heatRecovery, heatRecoveryInput, heatRecoveryOutput } from "../calculators/heat-recovery";
import { wrapCut, wrapCutInput, wrapCutOutput } from "../calculators/wrap-cut";
import { dose, doseInput, doseOutput } from "../calculators/dose";
import { dilution, dilutionInput, dilutionOutput } from "../calculators/dilution";
import { ductPull, ductPullInput, ductPullOutput } from "../calculators/duct-pull";
import {
  compareFilters,
  compareFiltersInput,
  compareFiltersOutput,
} from "../calculators/compare-filters";
import { buy, buyInput, buyOutput } from "../calculators/buy";
import { diyOrPro, diyOrProInput, diyOrProOutput } from "../calculators/diy-or-pro";
import { dueInput } from "../scheduling/trigger";
import { climateDays, climateInput, climateOutput } from "../climate/climate";
import { runHours, runHoursInput, runHoursOutput } from "../climate/run-hours";
import { looseEnds, looseEndsInput, looseEndsOutput } from "../runs/loose-ends";
import { lintProcedures, lintProceduresInput, lintProceduresOutput } from "../runs/lint";
import { evaluate } from "../planning/evaluate";
import { plan } from "../planning/plan";
import { evaluateInput, evaluateOutput, planInput, planOutput } from "../planning/plan-schema";
import { sequence, sequenceInput, sequenceOutput } from "../planning/sequence";
import { wear } from "../filters/wear";
import { wearCauses, wearCausesOutput } from "../filters/wear-causes";
import { wearInput, wearOutput } from "../filters/wear-schema";

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
  return {
    ...{ name, summary, input, output },
    run: (raw) => {
      const found = outOfBounds(raw);
      if (found) throw new z.ZodError([{ code: "custom", ...found, input: raw }]);
      return run(input.parse(raw));
    },
  };
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
    name: "wear-causes",
    summary: "What sets a due day apart from the book's: causes that add up to the difference.",
    input: wearInput,
    output: wearCausesOutput,
    run: wearCauses,
  }),
  define({
    name: "loose-ends",
    summary: "What is still left open, in which order to close it, and what has to wait.",
    input: looseEndsInput,
    output: looseEndsOutput,
    run: looseEnds,
  }),
  define({
    name: "lint-procedures",
    summary:
      "Whether procedures close what they open, in every way they can go, and in a safe order.",
    input: lintProceduresInput,
    output: lintProceduresOutput,
    run: lintProcedures,
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
  define({
    name: "chain",
    summary: "The rounds of a job ahead, and what each day of doing it would make of the next.",
    input: chainInput,
    output: chainOutput,
    run: chain,
  }),
  define({
    name: "due",
    summary:
      "When a job opens, is due and closes, by whatever its cadence counts, and how that stands today.",
    input: dueInput,
    output: dueOutput,
    run: due,
  }),
  define({
    name: "judge",
    summary: "Whether a reading is sound, to be watched, to be acted on, or a reason to stop.",
    input: judgeInput,
    output: judgeOutput,
    run: judge,
  }),
  define({
    name: "trend",
    summary: "Where a reading is going, and when it crosses a limit.",
    input: trendInput,
    output: trendOutput,
    run: trend,
  }),
  define({
    name: "filter-resistance",
    summary: "What a filter costs the blower at a house’s own airflow, clean, now and when due.",
    input: filterResistanceInput,
    output: filterResistanceOutput,
    run: filterResistance,
  }),
  define({
    name: "airflow",
    summary: "The air a furnace moves, from its heat output and the rise in temperature.",
    input: airflowInput,
    output: airflowOutput,
    run: airflow,
  }),
  define({
    name: "humidity-limit",
    summary: "How moist the air may be before its coldest pane fogs.",
    input: humidityLimitInput,
    output: humidityLimitOutput,
    run: humidityLimit,
  }),
  define({
    name: "heat-recovery",
    summary: "How much of the heat of the air leaving a house its ventilator gives back.",
    input: heatRecoveryInput,
    output: heatRecoveryOutput,
    run: heatRecovery,
  }),
  define({
    name: "wrap-cut",
    summary: "How to cut a sheet of pre-filter into wraps for a cylinder.",
    input: wrapCutInput,
    output: wrapCutOutput,
    run: wrapCut,
  }),
  define({
    name: "dose",
    summary:
      "How much inhibitor a heating system takes, and how many fillings of its filter that is.",
    input: doseInput,
    output: doseOutput,
    run: dose,
  }),
  define({
    name: "dilution",
    summary: "What fills a sprayer, from the parts on the label of a cleaner.",
    input: dilutionInput,
    output: dilutionOutput,
    run: dilution,
  }),
  define({
    name: "duct-pull",
    summary: "In which order duct runs are cleaned, and how long that takes.",
    input: ductPullInput,
    output: ductPullOutput,
    run: ductPull,
  }),
  define({
    name: "compare-filters",
    summary: "What filters of different depth or make cost in the same place over some years.",
    input: compareFiltersInput,
    output: compareFiltersOutput,
    run: compareFilters,
  }),
  define({
    name: "buy",
    summary: "What to order so that nothing of the coming year is missing, in the cheapest packs.",
    input: buyInput,
    output: buyOutput,
    run: buy,
  }),
  define({
    name: "diy-or-pro",
    summary: "What doing a job oneself saves a year, and after how many jobs its tools are paid.",
    input: diyOrProInput,
    output: diyOrProOutput,
    run: diyOrPro,
  }),
  define({
    name: "plan",
    summary: "A year in rounds: which task on which day, few sessions, everything in its window",
    input: planInput,
    output: planOutput,
    run: (input) => plan(input),
  }),
  define({
    name: "evaluate",
    summary: "What a set of days for tasks costs, who is late, and what cannot be so",
    input: evaluateInput,
    output: evaluateOutput,
    run: evaluate,
  }),
  define({
    name: "sequence",
    summary: "The order of the steps of a round, with waits used and power off for short",
    input: sequenceInput,
    output: sequenceOutput,
    run: sequence,
  }),
];
