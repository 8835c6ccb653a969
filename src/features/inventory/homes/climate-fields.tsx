"use client";

import { scaleBand, scaleLinear } from "d3-scale";
import {
  differenceFromKelvin,
  fromCelsius,
  readFigures,
  retyped,
  toCelsius,
  type TemperatureUnit,
} from "@/core/quantities/temperature";
import { climateSchema, seasonDays } from "@/core/climate/climate";
import { dayNumber, fromDay } from "@/core/quantities/plain-date";
import { capitalised, listWords, MONTHS, monthDayWords } from "@/core/quantities/words";
import { CLIMATE_STARTS } from "@/content/climates";
import { ChoiceField, TextField } from "@/ui/field";
import { useTypedText } from "@/ui/form";
import { useFields } from "@/ui/form-fields";
import { monthListProblem } from "./home-form";

const WIDTH = 600;
const HEIGHT = 132;
const LOW_C = -26;
const HIGH_C = 36;
/** Below this mean a house is heated: what the drawing is divided by, °C. */
const HEATING_C = 16;
const x = scaleBand(MONTHS, [0, WIDTH]).paddingInner(0.32).paddingOuter(0.16);
const y = scaleLinear([LOW_C, HIGH_C], [HEIGHT - 22, 18]);

const UNIT_SYSTEMS = [
  { value: "metric", label: "°C, millimetres" },
  { value: "us", label: "°F, inches" },
];
const TEMPERATURES = ["monthlyMean", "heatingDesign", "coolingDesign"] as const;

/** The climate of a home: a rough start to choose, every figure to correct, drawn as it is typed. */
export function ClimateFields() {
  const fields = useFields();
  const system = useTypedText("unitSystem", "metric");
  const unit: TemperatureUnit = system === "us" ? "F" : "C";
  const typed = {
    monthlyMean: useTypedText("monthlyMean"),
    heatingDesign: useTypedText("heatingDesign"),
    coolingDesign: useTypedText("coolingDesign"),
    dailyRange: useTypedText("dailyRange"),
  };
  const figures = readFigures(typed.monthlyMean) ?? [];
  const problem = monthListProblem(typed.monthlyMean, system);

  /** What is typed already goes over into the other unit. */
  const inUnits = (chosen: string) => {
    const to: TemperatureUnit = chosen === "us" ? "F" : "C";
    for (const name of TEMPERATURES) fields.set(name, retyped(typed[name], unit, to));
    fields.set("dailyRange", retyped(typed.dailyRange, unit, to, "differences"));
  };
  const start = (id: string) => {
    const found = CLIMATE_STARTS.find((each) => each.id === id);
    if (!found) return;
    const degrees = (celsius: number) => String(Math.round(fromCelsius(celsius, unit)));
    fields.set("monthlyMean", found.monthlyMeanC.map(degrees).join(" "));
    fields.set("heatingDesign", degrees(found.heatingDesignC));
    fields.set("coolingDesign", degrees(found.coolingDesignMeanC));
    fields.set("dailyRange", String(Math.round(differenceFromKelvin(found.dailyRangeC, unit))));
  };
  return (
    <>
      <div onChange={(event) => inUnits((event.target as HTMLInputElement).value)}>
        <ChoiceField label="Units" name="unitSystem" options={UNIT_SYSTEMS} defaultValue="metric" />
      </div>
      <div>
        <p className="mb-1 font-semibold">Start from a climate like yours</p>
        <div className="flex flex-wrap gap-2">
          {CLIMATE_STARTS.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              onClick={() => start(id)}
              className="min-h-11 rounded-sm border-[1.5px] border-second bg-surface px-3 text-left hover:border-ink"
            >
              {name}
            </button>
          ))}
        </div>
      </div>
      <div>
        <TextField
          label={`Mean of each month, °${unit}, January to December`}
          name="monthlyMean"
          hint={`${figures.length} of 12 figures. Your weather service lists them as normals.`}
          className="figures"
        />
        {problem && typed.monthlyMean !== "" && !fields.error("monthlyMean") && (
          <p className="mt-1 font-medium text-attention-text">{problem}</p>
        )}
        <MonthDrawing
          celsius={figures.slice(0, 12).map((figure) => toCelsius(figure, unit))}
          unit={unit}
        />
      </div>
      {!problem && (
        <p role="status" className="-mt-2 border-l-4 border-ink bg-surface px-4 py-2.5">
          {seasonWords(figures.map((figure) => toCelsius(figure, unit)))}
        </p>
      )}
      <div className="grid gap-4 wide:grid-cols-3">
        <TextField label={`Coldest usual night, °${unit}`} name="heatingDesign" />
        <TextField label={`Hottest usual day’s mean, °${unit}`} name="coolingDesign" />
        <TextField label={`Night to day, ${unit === "C" ? "K" : "°F"}`} name="dailyRange" />
      </div>
    </>
  );
}

/** Any year does: the normals are the same in each. */
const SHOWN_YEAR = [dayNumber(2025, 1, 1), dayNumber(2025, 12, 31)] as const;

/** What the figures would make of the year, while they are typed. */
function seasonWords(monthlyMeanC: number[]): string {
  const climate = climateSchema.parse({
    monthlyMeanC,
    heatingDesignC: Math.min(...monthlyMeanC),
    coolingDesignMeanC: Math.max(...monthlyMeanC),
  });
  const turns = seasonDays(climate, ...SHOWN_YEAR);
  const on = (day: number | undefined) =>
    day === undefined ? null : monthDayWords(fromDay(day).slice(5));
  const spell = (name: string, from: number | undefined, to: number | undefined) =>
    from === undefined || to === undefined ? null : `${name} from ${on(from)} to ${on(to)}`;
  const said = [
    spell("heating", turns.heatingStart[0], turns.heatingEnd[0]),
    spell("cooling", turns.coolingStart[0], turns.coolingEnd[0]),
    spell("snow", turns.snowFrom[0], turns.snowTo[0]),
  ].filter((each) => each !== null);
  return said.length === 0
    ? "No season here turns by these figures."
    : `${capitalised(listWords(said))}, about.`;
}

/** Each month’s mean as a bar, with its figure in the home’s own unit. */
function MonthDrawing({ celsius, unit }: { celsius: number[]; unit: TemperatureUnit }) {
  const middle = (month: string) => x(month)! + x.bandwidth() / 2;
  return (
    <svg
      aria-hidden="true"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mt-2 block w-full border-b-4 border-ink bg-surface"
    >
      {MONTHS.map((month) => (
        <text
          key={month}
          x={middle(month)}
          y={HEIGHT - 7}
          textAnchor="middle"
          fontSize="13"
          className="fill-second"
        >
          {month.slice(0, 1)}
        </text>
      ))}
      <line
        x1="0"
        x2={WIDTH}
        y1={y(HEATING_C)}
        y2={y(HEATING_C)}
        className="stroke-rule"
        strokeWidth="1.5"
        strokeDasharray="4 4"
      />
      <text
        x={WIDTH - 6}
        y={y(HEATING_C) - 4}
        textAnchor="end"
        fontSize="12"
        className="fill-second"
      >
        heating below
      </text>
      {celsius.map((value, i) => {
        const month = MONTHS[i]!;
        const isCold = value < HEATING_C;
        return (
          <g key={month}>
            <rect
              x={x(month)}
              width={x.bandwidth()}
              y={Math.min(y(value), y(HEATING_C))}
              height={Math.max(2, Math.abs(y(value) - y(HEATING_C)))}
              className={isCold ? "fill-heating" : "fill-cooling"}
            />
            <text
              x={middle(month)}
              y={isCold ? y(value) + 13 : y(value) - 4}
              textAnchor="middle"
              fontSize="12"
              className="fill-ink"
            >
              {`${Math.round(fromCelsius(value, unit))}`.replace("-", "−")}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
