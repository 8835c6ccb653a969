"use client";

import type { ChartConfiguration } from "chart.js";
import { civil, fromDay } from "@/core/quantities/plain-date";
import type { Palette } from "@/ui/chart-palette";
import { ThemedChart } from "@/ui/themed-chart";

export type ReadingChartData = {
  points: { x: number; y: number }[];
  /** Days of visits, marked where they lie among the points. */
  visits: number[];
  low: number | null;
  high: number | null;
};

const PADDING = 0.25;

/** Room above and below the values for the limits to be seen. */
function rangeOf({ points, low, high }: ReadingChartData): { min: number; max: number } {
  const values = [...points.map((point) => point.y), low, high].filter((each) => each !== null);
  const [min, max] = [Math.min(...values), Math.max(...values)];
  const pad = Math.max((max - min) * PADDING, Math.abs(max) * 0.01, 0.01);
  return { min: min - pad, max: max + pad };
}

/** A thin upright for each visit; the last one says what they are. */
function visitMarks({ visits, points }: ReadingChartData, colour: Palette) {
  const [first, last] = [points[0]?.x ?? 0, points.at(-1)?.x ?? 0];
  const shown = visits.filter((x) => x >= first && x <= last).sort((a, b) => a - b);
  return Object.fromEntries(
    shown.map((x, i) => [
      `visit ${i}`,
      {
        type: "line" as const,
        xMin: x,
        xMax: x,
        borderColor: colour.second,
        borderWidth: 1,
        label: {
          display: i === shown.length - 1,
          content: "visits",
          position: "end" as const,
          backgroundColor: colour.surface,
          color: colour.second,
          font: { size: 13 },
          padding: 2,
        },
      },
    ]),
  );
}

function configOf(data: ReadingChartData, colour: Palette): ChartConfiguration {
  const limit = (value: number | null, words: string) =>
    value === null
      ? {}
      : {
          [words]: {
            type: "line" as const,
            yMin: value,
            yMax: value,
            borderColor: colour.attention,
            borderWidth: 2,
            borderDash: [2, 4],
            label: {
              display: true,
              content: words,
              position: "start" as const,
              backgroundColor: colour.surface,
              color: colour.ink,
              font: { size: 13 },
              padding: 3,
            },
          },
        };
  return {
    type: "line",
    data: {
      datasets: [
        {
          data: data.points,
          borderColor: colour.ink,
          borderWidth: 2,
          pointRadius: 5,
          pointBackgroundColor: colour.surface,
          pointBorderColor: colour.ink,
          pointBorderWidth: 2.5,
          tension: 0,
        },
      ],
    },
    options: {
      animation: false,
      maintainAspectRatio: false,
      parsing: false,
      scales: {
        x: {
          type: "linear",
          grid: { display: false },
          border: { color: colour.rule },
          ticks: {
            color: colour.second,
            font: { size: 13 },
            maxTicksLimit: 5,
            callback: (value) => String(civil(Number(value)).year),
          },
          afterBuildTicks: (axis) => {
            const years = new Map(
              data.points.map(({ x }) => [fromDay(x).slice(0, 4), x] as const).reverse(),
            );
            axis.ticks = [...years.values()].sort((a, b) => a - b).map((value) => ({ value }));
          },
        },
        y: {
          ...rangeOf(data),
          grid: { color: colour.rule },
          border: { display: false },
          ticks: { color: colour.second, font: { size: 13 }, maxTicksLimit: 5 },
        },
      },
      plugins: {
        legend: { display: false },
        tooltip: { enabled: false },
        annotation: {
          annotations: {
            ...visitMarks(data, colour),
            ...limit(data.low, "least"),
            ...limit(data.high, "most"),
          },
        },
      },
    },
  };
}

/** A reading over the years, with the limits it should stay within. */
export function ReadingChart({ data, label }: { data: ReadingChartData; label: string }) {
  return <ThemedChart data={data} config={configOf} label={label} className="h-44" />;
}
