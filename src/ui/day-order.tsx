"use client";

import { createContext, useContext, type ReactNode } from "react";

/** In which order a home writes a day: day first, or month first. */
export type DayOrder = "day-first" | "month-first";

const DayOrderContext = createContext<DayOrder>("day-first");

/** Says in which order the home around writes its days. */
export function DayOrderProvider({ order, children }: { order: DayOrder; children: ReactNode }) {
  return <DayOrderContext value={order}>{children}</DayOrderContext>;
}

export const useDayOrder = (): DayOrder => useContext(DayOrderContext);
