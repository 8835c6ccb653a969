"use client";

import { format } from "date-fns";
import { DayPicker, getDefaultClassNames } from "react-day-picker";

const YEARS_SHOWN = 60;

/** A month to pick a day from, with the years within a machine’s life to jump to. */
export default function DayCalendar({
  chosen,
  min,
  max,
  weekStartsOn,
  onPick,
}: {
  chosen: Date | null;
  min: Date | null;
  max: Date | null;
  weekStartsOn: 0 | 1;
  /** A day as `YYYY-MM-DD`. */
  onPick: (iso: string) => void;
}) {
  const usual = getDefaultClassNames();
  const last = max ?? new Date(new Date().getFullYear() + 20, 11, 31);
  return (
    <DayPicker
      mode="single"
      autoFocus
      captionLayout="dropdown"
      weekStartsOn={weekStartsOn}
      {...(chosen
        ? { selected: chosen, defaultMonth: chosen }
        : { defaultMonth: max ?? min ?? new Date() })}
      startMonth={min ?? new Date(last.getFullYear() - YEARS_SHOWN, 0, 1)}
      endMonth={last}
      disabled={[...(min ? [{ before: min }] : []), ...(max ? [{ after: max }] : [])]}
      onSelect={(day) => day && onPick(format(day, "yyyy-MM-dd"))}
      classNames={{
        root: usual.root,
        months: "relative",
        month_caption: "flex h-11 items-center justify-center",
        dropdowns: "flex gap-2",
        dropdown_root: "relative",
        dropdown:
          "min-h-9 rounded-sm border-[1.5px] border-second bg-surface px-2 py-1 font-semibold",
        caption_label: "hidden",
        nav: "absolute inset-x-0 top-0 flex h-11 justify-between",
        button_previous: "z-10 flex size-11 items-center justify-center aria-disabled:opacity-30",
        button_next: "z-10 flex size-11 items-center justify-center aria-disabled:opacity-30",
        chevron: "size-5 fill-current",
        month_grid: "figures border-collapse",
        weekday: "size-9 text-[0.8125rem] font-semibold text-second",
        day: "p-0 text-center",
        day_button:
          "size-10 rounded-sm hover:bg-wash disabled:text-second disabled:opacity-40 disabled:hover:bg-transparent",
        today: "font-bold underline underline-offset-4",
        selected: "[&_button]:bg-ink [&_button]:text-ground",
        outside: "opacity-40",
      }}
    />
  );
}
