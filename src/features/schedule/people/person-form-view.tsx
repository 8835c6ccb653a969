"use client";

import { useState } from "react";
import { Button } from "@/ui/button";
import { DayField } from "@/ui/day-field";
import { CheckGroup, TextField } from "@/ui/field";
import { Form, type FormAction, type FormView } from "@/ui/form";
import { AWAY_ROWS } from "./person-form";

const schema = () => import("./person-form").then(({ personForm }) => personForm);

const DAYS = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"].map((label, i) => ({
  value: String(i + 1),
  label,
}));
const LEFT = [
  { value: "power", label: "switching machines off" },
  { value: "outdoors", label: "work out of doors" },
  { value: "height", label: "ladders, roofs and crawl spaces" },
];
const IN_A_ROW = "flex flex-wrap gap-x-4";

/** On which days somebody goes round, for how long, and what they do. */
export function PersonForm({
  action,
  initial,
  units,
  isVisit,
  isNew,
}: {
  action: FormAction;
  initial: FormView;
  units: readonly { value: string; label: string }[];
  isVisit: boolean;
  isNew: boolean;
}) {
  const filled = Array.from({ length: AWAY_ROWS }, (_, i) => i).filter(
    (i) => initial.values[`from-${i}`]?.[0],
  ).length;
  const [rows, setRows] = useState(Math.min(AWAY_ROWS, filled + 1));
  return (
    <Form {...{ action, initial, schema }} submit={isNew ? "Add them" : "Save"} stays={false}>
      <div className="flex flex-col gap-4 pb-2">
        <TextField label="Name" name="name" />
        <CheckGroup
          label="Days on which it can be"
          name="weekdays"
          options={DAYS}
          className={IN_A_ROW}
        />
        <CheckGroup
          label="Days they like best"
          name="preferred"
          options={DAYS}
          className={IN_A_ROW}
        />
        <TextField
          label="Most minutes of work on such a day"
          name="mostMinutes"
          inputMode="numeric"
        />
        {!isVisit && (
          <>
            <CheckGroup label="They leave to others" name="leaves" options={LEFT} />
            {units.length > 0 && (
              <details>
                <summary className="min-h-11 py-2 text-link">Machines that are theirs</summary>
                <CheckGroup
                  label="They look after these before anybody else does"
                  name="unitIds"
                  options={units}
                />
              </details>
            )}
          </>
        )}
        <fieldset>
          <legend className="mb-1 font-semibold">Away, or not to be had</legend>
          {Array.from({ length: rows }, (_, i) => (
            <div key={i} className="mb-2 grid grid-cols-2 gap-3">
              <DayField label="From" name={`from-${i}`} />
              <DayField label="To" name={`to-${i}`} />
            </div>
          ))}
          {rows < AWAY_ROWS && (
            <Button weight="quiet" onClick={() => setRows((count) => count + 1)}>
              Another time away
            </Button>
          )}
        </fieldset>
      </div>
    </Form>
  );
}
