"use client";

import dynamic from "next/dynamic";
import type { ChartProps } from "./chart-palette";

/** The chart library is large, and most pages draw nothing: it comes when the first chart is shown. */
const ChartCanvas = dynamic(() => import("./chart-canvas"), { ssr: false });

/** A chart in the colours of the theme, drawn anew when theme or data change. */
export function ThemedChart<T>({ className, config, ...rest }: ChartProps<T>) {
  return (
    <div className={className}>
      <ChartCanvas {...rest} config={config as ChartProps<unknown>["config"]} className="h-full" />
    </div>
  );
}
