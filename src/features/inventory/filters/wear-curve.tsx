"use client";

import type { ChartConfiguration, Plugin } from "chart.js";
import { civil, dayNumber, fromDay, type PlainDate } from "@/core/quantities/plain-date";
import { dateWords, MONTHS } from "@/core/quantities/words";
import { CHART_FONT, withAlpha, type Palette } from "@/ui/chart-palette";
import { TableBehind } from "@/ui/table-behind";
import { ThemedChart } from "@/ui/themed-chart";
import { curveDate, type Curve } from "./curve";

/** Tops the load axis out here: further up nothing more can be said than “well past”. */
const TOP_LOAD = 1.45;

/** Longer than this a curve has years along its foot, days. */
const LONG_DAYS = 800;
const isLong = ({ from, to }: Curve) => to - from > LONG_DAYS;

/** The first days of months, of years along a long curve. */
function ticksOf(curve: Curve): number[] {
  const all = monthTicks(curve.from, curve.to);
  return isLong(curve) ? all.filter((day) => civil(day).month === 1) : all;
}

function monthTicks(from: number, to: number): number[] {
  const ticks = [];
  const start = civil(from);
  for (let i = 0; ; i++) {
    const month = start.month + i;
    const day = dayNumber(start.year + Math.floor((month - 1) / 12), ((month - 1) % 12) + 1, 1);
    if (day > to) return ticks;
    if (day >= from) ticks.push(day);
  }
}

function configOf(curve: Curve, colour: Palette): ChartConfiguration {
  const line = { type: "line" as const, pointRadius: 0, yAxisID: "load", tension: 0 };
  const lookWords: Plugin = {
    id: "look-words",
    afterDatasetsDraw(chart) {
      const { ctx, scales } = chart;
      ctx.save();
      ctx.fillStyle = colour.second;
      ctx.font = `13px ${CHART_FONT}`;
      for (const look of curve.looks) {
        const right = scales["x"]!.getPixelForValue(look.x) < chart.chartArea.right - 90;
        ctx.textAlign = right ? "left" : "right";
        const x = scales["x"]!.getPixelForValue(look.x) + (right ? 9 : -9);
        ctx.fillText(
          look.words,
          x,
          scales["load"]!.getPixelForValue(Math.min(look.y, TOP_LOAD)) + 17,
        );
      }
      ctx.restore();
    },
  };
  return {
    type: "line",
    data: {
      datasets: [
        { ...line, order: 3, data: curve.low, borderWidth: 0, fill: false },
        {
          ...line,
          order: 3,
          data: curve.high,
          borderWidth: 0,
          fill: "-1",
          backgroundColor: colour.band,
        },
        { ...line, order: 2, data: curve.past, borderColor: colour.ink, borderWidth: 3 },
        {
          ...line,
          order: 2,
          data: curve.ahead,
          borderColor: colour.ink,
          borderWidth: 3,
          borderDash: [7, 5],
        },
        ...(curve.other
          ? [
              {
                ...line,
                order: 1,
                data: curve.other,
                borderColor: colour.link,
                borderWidth: 2.5,
                borderDash: [2, 4],
              },
            ]
          : []),
        {
          ...line,
          order: 1,
          data: curve.looks,
          showLine: false,
          pointRadius: 6,
          pointHoverRadius: 7,
          pointBackgroundColor: colour.surface,
          pointBorderColor: colour.ink,
          pointBorderWidth: 2.5,
        },
        {
          type: "bar",
          data: curve.hours,
          yAxisID: "hours",
          barPercentage: 1,
          categoryPercentage: 0.75,
          backgroundColor: curve.hours.map((point) =>
            point.x < curve.today ? colour.heating : withAlpha(colour.heating, 0.55),
          ),
        },
      ],
    },
    options: {
      animation: false,
      maintainAspectRatio: false,
      parsing: false,
      interaction: { mode: "nearest", axis: "x", intersect: false },
      scales: {
        x: {
          type: "linear",
          offset: false,
          min: curve.from,
          max: curve.to,
          grid: { display: false },
          border: { display: false },
          afterBuildTicks: (axis) => {
            axis.ticks = ticksOf(curve).map((value) => ({ value }));
          },
          ticks: {
            color: colour.second,
            font: { size: 13 },
            callback: (value) => {
              const { year, month } = civil(Number(value));
              return isLong(curve) ? year : MONTHS[month - 1]!.slice(0, 3);
            },
          },
        },
        hours: {
          type: "linear",
          stack: "wear",
          stackWeight: 1,
          min: 0,
          max: 24,
          border: { display: false },
          grid: { display: false },
          ticks: { display: false },
        },
        load: {
          type: "linear",
          stack: "wear",
          stackWeight: 4,
          min: 0,
          max: TOP_LOAD,
          border: { display: false },
          grid: { color: colour.rule },
          afterBuildTicks: (axis) => {
            axis.ticks = [0, 0.5, 1].map((value) => ({ value }));
          },
          ticks: {
            color: (context) => (context.tick.value === 1 ? colour.ink : colour.second),
            font: { size: 13 },
            callback: (value) => ({ 0: "new", 0.5: "half", 1: "due" })[Number(value)] ?? "",
          },
        },
      },
      plugins: {
        legend: { display: false },
        tooltip: {
          displayColors: false,
          filter: (item) => item.datasetIndex >= 2,
          callbacks: {
            title: (items) => {
              const date = curveDate(items[0]?.parsed.x ?? curve.from);
              return dateWords(date, fromDay(curve.today));
            },
            label: (item) => {
              const y = item.parsed.y ?? 0;
              if (item.datasetIndex === 5) return `${y.toFixed(1)} run hours`;
              if (item.datasetIndex === 4) return `seen: ${curve.looks[item.dataIndex]?.words}`;
              return `${Math.round(100 * y)} % full`;
            },
          },
        },
        annotation: { annotations: annotationsOf(curve, colour) },
      },
    },
    plugins: [lookWords],
  };
}

function annotationsOf(curve: Curve, colour: Palette) {
  const label = { display: true, backgroundColor: "transparent", font: { size: 13 } };
  const spells = curve.spells.map((spell) => ({
    type: "box" as const,
    xMin: spell.from,
    xMax: spell.to,
    yMin: 0,
    yMax: TOP_LOAD,
    yScaleID: "load",
    backgroundColor: withAlpha(colour.heating, 0.28),
    borderWidth: 0,
    drawTime: "beforeDatasetsDraw" as const,
    label: {
      ...label,
      content: spell.words,
      color: colour.second,
      position: { x: "start" as const, y: "start" as const },
    },
  }));
  return [
    ...spells,
    {
      type: "line" as const,
      yMin: 1,
      yMax: 1,
      yScaleID: "load",
      borderColor: colour.ink,
      borderWidth: 2,
      borderDash: [2, 4],
    },
    {
      type: "line" as const,
      xMin: curve.today,
      xMax: curve.today,
      yMin: 0,
      yMax: TOP_LOAD,
      yScaleID: "load",
      borderColor: colour.attention,
      borderWidth: 2.5,
      label: {
        ...label,
        content: "today",
        color: colour.ink,
        font: { size: 13, weight: "bold" as const },
        position: "end" as const,
        xAdjust: curve.today - curve.from > 0.85 * (curve.to - curve.from) ? -26 : 26,
      },
    },
  ];
}

/** The load of the filter in place from fitting to due, with a table of the same figures behind it. */
export function WearCurve({
  curve,
  today,
  title,
  note,
}: {
  curve: Curve;
  today: PlainDate;
  title: string;
  /** What a second line shows. */
  note?: string | undefined;
}) {
  const percent = (share: number) => `${Math.round(100 * share)} %`;
  return (
    <figure>
      <ThemedChart
        data={curve}
        config={configOf}
        label={`${title}: load from new to due`}
        className="h-72 wide:h-80"
      />
      <figcaption className="text-[0.9375rem] text-second">
        The line is the likely load, the band where it may really be, dots what was seen; below, the
        hours it ran each day.{note && ` ${note}`}
      </figcaption>
      <TableBehind heads={["Day", "Full", "Between", "Hours run"]}>
        {curve.rows.map((row) => (
          <tr key={row.date} className="border-b border-rule">
            <td className="py-1 pr-4">{dateWords(row.date, today)}</td>
            <td className="pr-4">{percent(row.load)}</td>
            <td className="pr-4">
              {percent(row.low)} and {percent(row.high)}
            </td>
            <td>{row.runHours.toFixed(1)} h</td>
          </tr>
        ))}
      </TableBehind>
    </figure>
  );
}
