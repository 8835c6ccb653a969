"use client";

import type { ChartConfiguration } from "chart.js";
import { COST_KINDS, totalOf, type YearCosts } from "@/core/money/unit-costs";
import { moneyAbout, moneyWords } from "@/core/quantities/money";
import type { Palette } from "@/ui/chart-palette";
import { TableBehind } from "@/ui/table-behind";
import { ThemedChart } from "@/ui/themed-chart";

export const COST_WORDS = {
  filters: "filters",
  jobs: "parts and supplies",
  visits: "visits",
  repairs: "repairs",
  own: "your own time",
} as const;

type Data = { years: YearCosts[]; currency: string };

const FILL: Record<(typeof COST_KINDS)[number], keyof Palette> = {
  filters: "heating",
  jobs: "wash",
  visits: "link",
  repairs: "ink",
  own: "rule",
};

function configOf({ years, currency }: Data, colour: Palette): ChartConfiguration {
  const used = COST_KINDS.filter((kind) => years.some((each) => each[kind] > 0));
  return {
    type: "bar",
    data: {
      labels: years.map(({ year }) => String(year)),
      datasets: used.map((kind) => ({
        label: COST_WORDS[kind],
        data: years.map((each) => each[kind]),
        backgroundColor: colour[FILL[kind]],
        borderColor: colour.ink,
        borderWidth: 1,
        maxBarThickness: 72,
      })),
    },
    options: {
      animation: false,
      maintainAspectRatio: false,
      scales: {
        x: {
          stacked: true,
          grid: { display: false },
          border: { color: colour.ink },
          ticks: { color: colour.ink, font: { size: 14 } },
        },
        y: {
          stacked: true,
          grid: { color: colour.rule },
          border: { display: false },
          ticks: {
            color: colour.second,
            font: { size: 13 },
            maxTicksLimit: 5,
            callback: (value) => moneyAbout({ minor: Number(value), currency }),
          },
        },
      },
      plugins: { legend: { display: false }, tooltip: { enabled: false } },
    },
  };
}

/** What a machine cost over the years: what for, how much, and what it took besides. */
export function CostChart({ years, currency }: Data) {
  const used = COST_KINDS.filter((kind) => years.some((each) => each[kind] > 0));
  const money = (minor: number) => (minor === 0 ? "" : moneyWords({ minor, currency }));
  return (
    <>
      <ul aria-label="Which bar is what" className="flex flex-wrap gap-x-5">
        {used.map((kind) => (
          <li key={kind} className="flex items-center gap-2">
            <span
              aria-hidden="true"
              className="inline-block size-4 border border-ink"
              style={{ backgroundColor: `var(--color-${FILL[kind]})` }}
            />
            {COST_WORDS[kind]}
          </li>
        ))}
      </ul>
      <ThemedChart
        data={{ years, currency }}
        config={configOf}
        label="What it cost each year"
        className="mt-2 h-60"
      />
      <TableBehind heads={["Year", ...used.map((kind) => COST_WORDS[kind]), "together", "minutes"]}>
        {years.map((each) => (
          <tr key={each.year} className="border-b border-rule">
            <th scope="row" className="py-1.5 pr-4 text-left">
              {each.year}
            </th>
            {used.map((kind) => (
              <td key={kind} className="pr-4">
                {money(each[kind])}
              </td>
            ))}
            <td className="pr-4 font-semibold">{money(totalOf(each))}</td>
            <td>{each.minutes || ""}</td>
          </tr>
        ))}
      </TableBehind>
    </>
  );
}
