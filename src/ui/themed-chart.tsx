"use client";

import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  type ChartConfiguration,
} from "chart.js";
import annotationPlugin from "chartjs-plugin-annotation";
import { useEffect, useRef } from "react";

Chart.register(
  BarController,
  BarElement,
  CategoryScale,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  annotationPlugin,
);

export const CHART_FONT = "'Atkinson Hyperlegible Next Variable', sans-serif";
Chart.defaults.font.family = CHART_FONT;

const COLOURS = [
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

/** The theme's colours as the browser resolves them: a canvas cannot read variables. */
function paletteOf(element: HTMLElement): Palette {
  const probe = element.appendChild(document.createElement("span"));
  const palette = Object.fromEntries(
    COLOURS.map((name) => {
      probe.style.color = `var(--color-${name})`;
      return [name, getComputedStyle(probe).color];
    }),
  ) as Palette;
  probe.remove();
  return palette;
}

export const withAlpha = (rgb: string, alpha: number) =>
  rgb.replace(/^rgb\((.*)\)$/, `rgba($1, ${alpha})`);

/** A chart in the colours of the theme, drawn anew when theme or data change. */
export function ThemedChart<T>({
  data,
  config,
  label,
  className,
}: {
  data: T;
  /** A function that stays the same: it is given the data and the colours. */
  config: (data: T, palette: Palette) => ChartConfiguration;
  label: string;
  className: string;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);

  // The chart library draws on the canvas by itself and has to be told when theme or data change.
  useEffect(() => {
    const element = canvas.current;
    if (!element?.parentElement) return;
    const box = element.parentElement;
    const draw = () => new Chart(element, config(data, paletteOf(box)));
    let chart = draw();
    const redraw = () => {
      chart.destroy();
      chart = draw();
    };
    const scheme = window.matchMedia("(prefers-color-scheme: dark)");
    const theme = new MutationObserver(redraw);
    scheme.addEventListener("change", redraw);
    theme.observe(document.documentElement, { attributeFilter: ["data-theme"] });
    void document.fonts.ready.then(() => chart.update());
    return () => {
      scheme.removeEventListener("change", redraw);
      theme.disconnect();
      chart.destroy();
    };
  }, [data, config]);

  return (
    <div className={`relative ${className}`}>
      <canvas ref={canvas} role="img" aria-label={label} />
    </div>
  );
}
