"use client";

import {
  BarController,
  BarElement,
  CategoryScale,
  Chart as ChartLibrary,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from "chart.js";
import annotationPlugin from "chartjs-plugin-annotation";
import { useEffect, useMemo, useRef, useState, type RefObject } from "react";
import { Chart } from "react-chartjs-2";
import { CHART_FONT, COLOURS, type ChartProps, type Palette } from "./chart-palette";

ChartLibrary.register(
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

ChartLibrary.defaults.font.family = CHART_FONT;

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

/** The palette of the place an element stands in, taken anew when the theme changes. */
function usePalette(box: RefObject<HTMLElement | null>): Palette | null {
  const [palette, setPalette] = useState<Palette | null>(null);
  // What a theme's colours are only the browser knows, and it says when they change.
  useEffect(() => {
    const take = () => setPalette(box.current && paletteOf(box.current));
    take();
    const scheme = window.matchMedia("(prefers-color-scheme: dark)");
    const theme = new MutationObserver(take);
    scheme.addEventListener("change", take);
    theme.observe(document.documentElement, { attributeFilter: ["data-theme"] });
    void document.fonts.ready.then(take);
    return () => {
      scheme.removeEventListener("change", take);
      theme.disconnect();
    };
  }, [box]);
  return palette;
}

/** A chart in the colours of the theme, drawn anew when theme or data change. */
export default function ChartCanvas<T>({ data, config, label, className }: ChartProps<T>) {
  const box = useRef<HTMLDivElement>(null);
  const palette = usePalette(box);
  const drawn = useMemo(() => palette && config(data, palette), [config, data, palette]);
  return (
    <div ref={box} className={`relative ${className}`}>
      {drawn && (
        <Chart
          type={drawn.type}
          data={drawn.data}
          options={drawn.options ?? {}}
          plugins={drawn.plugins ?? []}
          aria-label={label}
          redraw
        />
      )}
    </div>
  );
}
