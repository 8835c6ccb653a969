import type { UnitSystem } from "@/core/quantities/length";
import { z } from "zod";
import { equipmentSchema, FAN_MODES } from "@/core/climate/run-hours";
import { monthDaySchema } from "@/core/quantities/schemas";
import { figureIn, toCelsius } from "@/core/quantities/temperature";
import type { AirSystem } from "@/core/inventory/inventory";
import { readDecimal } from "@/lib/forms";

/** Cubic metres an hour in a cubic foot a minute. */
const M3H_PER_CFM = 1.699011;

/** An airflow as the form shows it, m³/h or cfm, and as it is read back. */
export const airflowText = (m3h: number, system: UnitSystem): string =>
  figureIn(
    m3h,
    (each) => (system === "us" ? each / M3H_PER_CFM : each),
    (each) => typedAirflow(each, system),
  );
const typedAirflow = (typed: number, system: UnitSystem): number =>
  system === "us" ? typed * M3H_PER_CFM : typed;

const MOST_M3H = 50_000;
const PARTIAL_LEVEL = 0.35;

/** Reads how an air system runs; figures come in the home's own units. */
export const systemForm = (system: UnitSystem) =>
  z
    .object({
      name: z.string(),
      heats: z.string().optional(),
      cools: z.string().optional(),
      fanMode: z.enum(FAN_MODES, "Choose how its fan runs."),
      fanHours: z.string(),
      fanLevel: z.string(),
      airflow: z.string(),
      useShare: z.string(),
      heatBalance: z.string(),
      coolBalance: z.string(),
      inUseFrom: z.string(),
      inUseTo: z.string(),
    })
    .transform((fields, context): Omit<AirSystem, "id" | "ducted"> => {
      const problem = (name: keyof typeof fields, message: string) => {
        context.addIssue({ code: "custom", path: [name], message });
        return undefined;
      };
      const figure = (name: keyof typeof fields, low: number, high: number, words: string) => {
        const text = fields[name] ?? "";
        if (text === "") return undefined;
        const value = readDecimal(text);
        return value !== null && value >= low && value <= high ? value : problem(name, words);
      };
      if (fields.name === "") problem("name", "Give it a name.");
      if (fields.name.length > 60) problem("name", "A shorter name, please: up to 60 letters.");
      const hours = figure("fanHours", 0, 24, "Hours a day, 0 to 24.");
      if (fields.fanMode === "minimum" && fields.fanHours === "")
        problem("fanHours", "Hours a day, 0 to 24.");
      const level = figure("fanLevel", 1, 100, "Percent, 1 to 100.");
      const flow = figure("airflow", 1, MOST_M3H, "What it moves when it runs, as a figure.");
      const share = figure("useShare", 0, 100, "Percent, 0 to 100.");
      const degrees = (name: "heatBalance" | "coolBalance") => {
        const value = figure(name, -40, 120, "A temperature.");
        return value === undefined ? undefined : toCelsius(value, system === "us" ? "F" : "C");
      };
      const [heatBalanceC, coolBalanceC] = [degrees("heatBalance"), degrees("coolBalance")];
      const spell = [fields.inUseFrom, fields.inUseTo].filter(Boolean);
      if (spell.length === 1)
        problem(fields.inUseFrom ? "inUseTo" : "inUseFrom", "Give both days, or neither.");
      const monthDay = (name: "inUseFrom" | "inUseTo") => {
        if (fields[name] && !isMonthDay(fields[name]))
          problem(name, "Month and day, such as 10-15.");
        return fields[name];
      };
      const inUse = { from: monthDay("inUseFrom"), to: monthDay("inUseTo") };
      if (context.issues.length > 0) return z.NEVER;
      return {
        name: fields.name,
        equipment: equipmentSchema.parse({
          heats: Boolean(fields.heats),
          cools: Boolean(fields.cools),
          ...(heatBalanceC === undefined ? {} : { heatBalanceC }),
          ...(coolBalanceC === undefined ? {} : { coolBalanceC }),
          ...(share === undefined ? {} : { useShare: share / 100 }),
          fan: {
            mode: fields.fanMode,
            hours: fields.fanMode === "minimum" ? hours : undefined,
            level:
              fields.fanMode === "continuous"
                ? level === undefined
                  ? PARTIAL_LEVEL
                  : level / 100
                : undefined,
          },
          ...(spell.length === 2 ? { inUse: [inUse] } : {}),
        }),
        ...(flow === undefined ? {} : { airflowM3h: typedAirflow(flow, system) }),
      };
    });

const isMonthDay = (text: string): boolean => monthDaySchema.safeParse(text).success;
