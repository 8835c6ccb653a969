"use client";

import { CalendarDays } from "lucide-react";
import dynamic from "next/dynamic";
import { Popover } from "radix-ui";
import { useEffect, useState, useLayoutEffect, type ReactNode } from "react";
import { useDayOrder, type DayOrder } from "./day-order";
import { isoOf, readDayText, shownDay, TYPED_AS } from "./day-text";
import { TextField } from "./field";
import { useFormAround } from "./form-fields";

const DayCalendar = dynamic(() => import("./day-calendar"), { ssr: false });

/**
 * A day, typed in the home’s own order or picked from a calendar. The form holds it as year, month
 * and day; so does the page before its script runs, which is understood as well.
 */
export function DayField({
  label,
  name,
  id = name,
  hint,
  min,
  max,
  mayBeYear = false,
  defaultValue,
  error,
}: {
  label: string;
  name: string;
  id?: string;
  hint?: ReactNode;
  /** The first and last day that make sense, `YYYY-MM-DD`. */
  min?: string | undefined;
  max?: string | undefined;
  /** A year alone is understood, as its first day. */
  mayBeYear?: boolean;
  defaultValue?: string | undefined;
  error?: string | undefined;
}) {
  const order = useDayOrder();
  const form = useFormAround();
  const first = form?.value(name) ?? defaultValue;
  const [input, setInput] = useState<HTMLInputElement | null>(null);
  const [open, setOpen] = useState<{ chosen: Date | null } | null>(null);

  // The server writes the day as year, month and day, because that is what it can read if the form
  // is sent before this script runs. Now that it runs, the day is shown in the home's own order.
  useLayoutEffect(() => {
    if (input) show(input, order, mayBeYear);
  }, [input, order, mayBeYear]);

  // Whoever reads this form's FormData gets year, month and day, however the day was typed.
  useEffect(() => {
    const owner = input?.form;
    const gather = ({ formData }: FormDataEvent) => {
      const typed = formData.get(name);
      if (typeof typed === "string") formData.set(name, isoOf(typed, order, mayBeYear));
    };
    owner?.addEventListener("formdata", gather);
    return () => owner?.removeEventListener("formdata", gather);
  }, [input, name, order, mayBeYear]);

  return (
    <div className="relative max-w-56">
      <TextField
        ref={setInput}
        label={label}
        name={name}
        id={id}
        hint={hint}
        error={error}
        defaultValue={first}
        onBlur={(event) => show(event.target, order, mayBeYear)}
        placeholder={TYPED_AS[order]}
        data-day=""
        className="figures pr-12"
      />
      <Popover.Root
        open={open !== null}
        onOpenChange={(opens) =>
          setOpen(opens ? { chosen: readDayText(input?.value ?? "", order) } : null)
        }
      >
        <Popover.Trigger
          type="button"
          aria-label={`${label}: pick a day`}
          className="absolute top-7 right-0 flex size-11 items-center justify-center text-second hover:text-ink"
        >
          <CalendarDays size={20} aria-hidden="true" />
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="end"
            collisionPadding={12}
            className="z-50 border-2 border-ink bg-ground p-3 shadow-lg"
          >
            <DayCalendar
              chosen={open?.chosen ?? null}
              min={min ? readDayText(min, order) : null}
              max={max ? readDayText(max, order) : null}
              weekStartsOn={order === "month-first" ? 0 : 1}
              onPick={(iso) => {
                if (input) typeInto(input, shownDay(iso, order));
                setOpen(null);
              }}
            />
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  );
}

/** Writes into a field as the keyboard would, so that all who listen hear of it. */
function typeInto(input: HTMLInputElement, text: string): void {
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")?.set?.call(input, text);
  input.dispatchEvent(new Event("input", { bubbles: true }));
}

const show = (input: HTMLInputElement, order: DayOrder, mayBeYear: boolean): void => {
  input.value = shownDay(input.value, order, mayBeYear);
};
