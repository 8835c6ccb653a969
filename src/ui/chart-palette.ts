import type { ChartConfiguration } from "chart.js";

export const CHART_FONT = "'Atkinson Hyperlegible Next Variable', sans-serif";

/** The colours of the theme that charts are drawn in. */
export const COLOURS = [
  "ink",
  "second",
  "rule",
  "attention",
  "wash",
  "heating",
  "surface",
  "band",
  "link",
] as const;
export type Palette = Record<(typeof COLOURS)[number], string>;

export const withAlpha = (rgb: string, alpha: number) =>
  rgb.replace(/^rgb\((.*)\)$/, `rgba($1, ${alpha})`);

export type ChartProps<T> = {
  data: T;
  /** A function that stays the same: it is given the data and the colours. */
  config: (data: T, palette: Palette) => ChartConfiguration;
  label: string;
  className: string;
};
