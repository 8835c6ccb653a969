import { z } from "zod";
import { PHONE, PHONE_WORDS } from "@/lib/phone";
import { ofReader, problemsOf, singles, type FormFields } from "@/lib/forms";
import { CURRENCIES } from "@/core/quantities/money";
import {
  differenceToKelvin,
  readFigures,
  toCelsius,
  type TemperatureUnit,
} from "@/core/quantities/temperature";
import type { CapacitorStrategy } from "@/core/readings/judge";
import type { Main, Mains } from "@/core/inventory/inventory";
import { climateSchema, DEFAULT_DAILY_RANGE_K, type Climate } from "@/core/climate/climate";

/** No place on earth has monthly means beyond these, °C. */
const COLDEST_C = -60;
const HOTTEST_C = 45;
const WIDEST_DAY_K = 40;
const MOST_HEADS = 30;

const unitOf = (system: string): TemperatureUnit => (system === "us" ? "F" : "C");

/** The message for a list that is not twelve figures, or null when it is. */
export function monthListProblem(text: string, system: string): string | null {
  const figures = readFigures(text);
  if (!figures) return "Figures only, one for each month, with spaces between.";
  if (figures.length === 0) return "Twelve figures are needed, January first.";
  if (figures.length !== 12)
    return `That is ${figures.length} ${figures.length === 1 ? "figure" : "figures"}; a year has twelve months, January first.`;
  const celsius = figures.map((figure) => toCelsius(figure, unitOf(system)));
  const odd = celsius.findIndex((value) => value < COLDEST_C || value > HOTTEST_C);
  return odd < 0
    ? null
    : `${figures[odd]} °${unitOf(system)} is no monthly mean of any place. Is the unit right?`;
}

function oneFigure(text: string): number | null {
  const figures = readFigures(text);
  return figures?.length === 1 ? figures[0]! : null;
}

const count = (what: string) =>
  z
    .string()
    .refine(
      (text) => /^\d*$/.test(text) && Number(text) <= MOST_HEADS,
      `Give the number of ${what}, 0 to ${MOST_HEADS}.`,
    )
    .transform(Number);

const isTimeZone = (name: string) => {
  try {
    return Boolean(new Intl.DateTimeFormat("en", { timeZone: name }));
  } catch {
    return false;
  }
};

const optionalPhone = z
  .string()
  .max(40, "Shorter, please: up to 40 letters.")
  .refine((text) => text === "" || PHONE.test(text), PHONE_WORDS)
  .default("");

/** Whom to call when something is wrong. */
const callsShape = z.object({
  gasPhone: optionalPhone,
  technicianName: z.string().max(80, "Shorter, please: up to 80 letters.").default(""),
  technicianPhone: optionalPhone,
});
export type Calls = z.output<typeof callsShape>;
/** Of the fields of a home, or of its mains, those that name whom to call. */
export const callsFrom = ({ gasPhone, technicianName, technicianPhone }: Calls): Calls => ({
  gasPhone,
  technicianName,
  technicianPhone,
});

const mainPlace = z.string().max(200, "Shorter, please: up to 200 letters.").default("");

const shape = z.object({
  name: z.string(),
  unitSystem: z.enum(["metric", "us"], "Choose the units you use."),
  currency: z.enum(CURRENCIES, "Choose a currency."),
  timeZone: z.string(),
  monthlyMean: z.string(),
  heatingDesign: z.string(),
  coolingDesign: z.string(),
  dailyRange: z.string(),
  localRules: z.string().max(400, "Shorter, please: up to 400 letters.").optional(),
  capacitorStrategy: z.enum(["label", "general"], "Choose one of these.").default("label"),
  mainWater: mainPlace,
  mainWaterOff: mainPlace,
  mainGas: mainPlace,
  mainGasOff: mainPlace,
  mainPower: mainPlace,
  mainPowerOff: mainPlace,
  ...callsShape.shape,
});

/** The fields of where the whole house is shut off, and of whom to call. */
export const mainsShape = shape.pick({
  mainWater: true,
  mainWaterOff: true,
  mainGas: true,
  mainGasOff: true,
  mainPower: true,
  mainPowerOff: true,
  gasPhone: true,
  technicianName: true,
  technicianPhone: true,
});

/** Where the whole house is shut off, as far as it was written down. */
export function mainsFrom(fields: z.output<typeof mainsShape>): Mains {
  const typed: [Main, string, string][] = [
    ["water", fields.mainWater, fields.mainWaterOff],
    ["gas", fields.mainGas, fields.mainGasOff],
    ["power", fields.mainPower, fields.mainPowerOff],
  ];
  return Object.fromEntries(
    typed.flatMap(([main, place, off]) =>
      place || off ? [[main, { place, ...(off ? { offPosition: off } : {}) }]] : [],
    ),
  );
}

export type HomeFields = {
  name: string;
  unitSystem: "metric" | "us";
  currency: string;
  timeZone: string;
  climate: Climate;
  localRules?: string;
  capacitorStrategy: CapacitorStrategy;
  mains?: Mains;
};

/** What a home’s form holds: the home, and whom to call. */
export type HomeRead = { home: HomeFields; calls: Calls };

/** Reads the fields of a home; temperatures come in the home's own unit and leave in °C. */
export const homeForm = shape.transform((fields, context): HomeRead => {
  const unit = unitOf(fields.unitSystem);
  const problem = (name: string, message: string) =>
    context.addIssue({ code: "custom", path: [name], message });
  // Everything is looked at before anything is refused, so that all problems show at once.
  if (fields.name === "") problem("name", "Give the home a name.");
  if (fields.name.length > 60) problem("name", "A shorter name, please: up to 60 letters.");
  if (!isTimeZone(fields.timeZone))
    problem(
      "timeZone",
      "That time zone is not known here. Choose one from the list, or write it as area and city.",
    );
  const listProblem = monthListProblem(fields.monthlyMean, fields.unitSystem);
  if (listProblem) problem("monthlyMean", listProblem);
  const monthlyMeanC = (readFigures(fields.monthlyMean) ?? []).map((value) =>
    toCelsius(value, unit),
  );

  const heating = oneFigure(fields.heatingDesign);
  const cooling = oneFigure(fields.coolingDesign);
  if (heating === null)
    problem("heatingDesign", "One figure: the temperature of the coldest usual night.");
  else if (!listProblem && toCelsius(heating, unit) > Math.min(...monthlyMeanC))
    problem(
      "heatingDesign",
      "The coldest usual night can’t be milder than the mean of the coldest month.",
    );
  if (cooling === null) problem("coolingDesign", "One figure: the mean of the hottest usual day.");
  else if (!listProblem && toCelsius(cooling, unit) < Math.max(...monthlyMeanC))
    problem(
      "coolingDesign",
      "The hottest usual day can’t be cooler than the mean of the hottest month.",
    );

  const ranges = fields.dailyRange === "" ? [] : (readFigures(fields.dailyRange) ?? [Number.NaN]);
  const rangesK = ranges.map((value) => differenceToKelvin(value, unit));
  if (![0, 1, 12].includes(ranges.length))
    problem(
      "dailyRange",
      `That is ${ranges.length} figures: give one for the whole year, or twelve.`,
    );
  else if (rangesK.some((value) => !(value >= 0 && value <= WIDEST_DAY_K)))
    problem(
      "dailyRange",
      "From a night to its day the difference is 0 or more, and never that large.",
    );
  if (context.issues.length > 0) return z.NEVER;
  const mains = mainsFrom(fields);
  const home = {
    name: fields.name,
    unitSystem: fields.unitSystem,
    currency: fields.currency,
    timeZone: fields.timeZone,
    capacitorStrategy: fields.capacitorStrategy,
    ...(fields.localRules ? { localRules: fields.localRules } : {}),
    ...(Object.keys(mains).length > 0 ? { mains } : {}),
    climate: climateSchema.parse({
      monthlyMeanC,
      heatingDesignC: toCelsius(heating!, unit),
      coolingDesignMeanC: toCelsius(cooling!, unit),
      dailyRangeC: rangesK.length === 12 ? rangesK : (rangesK[0] ?? DEFAULT_DAILY_RANGE_K),
    }),
  };
  return { home, calls: callsFrom(fields) };
});

const householdForm = z.object({
  people: count("people"),
  pets: count("animals"),
  smoking: z.string().optional(),
  dustyHobby: z.string().optional(),
  busyRoad: z.string().optional(),
});

export const LEVEL_CHOICES = [
  { key: "loft", name: "Loft", storey: 3, place: "inside" },
  { key: "upper", name: "Upper floor", storey: 1, place: "inside" },
  { key: "ground", name: "Ground floor", storey: 0, place: "inside" },
  { key: "cellar", name: "Cellar", storey: -1, place: "inside" },
  { key: "yard", name: "Yard", storey: 0, place: "outdoors" },
  { key: "outbuilding", name: "Outbuilding", storey: 0, place: "outbuilding" },
] as const;

const levelsForm = z
  .array(z.enum(LEVEL_CHOICES.map((level) => level.key) as [string, ...string[]]))
  .min(1, "Choose at least one level.");

/** A new home: the home itself, who lives in it, and its levels; all their problems at once. */
export const newHomeForm: z.ZodType<
  {
    home: HomeRead;
    household: z.output<typeof householdForm>;
    levels: z.output<typeof levelsForm>;
  },
  FormFields
> = ofReader((fields) => {
  const parts = {
    home: homeForm.safeParse(singles(fields)),
    household: householdForm.safeParse(singles(fields)),
    levels: levelsForm.safeParse(fields["levels"] ?? []),
  };
  return {
    values: {
      home: parts.home.data!,
      household: parts.household.data!,
      levels: parts.levels.data!,
    },
    problems: {
      ...problemsOf(parts.home.error),
      ...problemsOf(parts.household.error),
      ...(parts.levels.error ? { levels: parts.levels.error.issues[0]!.message } : {}),
    },
  };
});
