"use client";

import { useState } from "react";
import { identitySchema, type Identity } from "@/core/inventory/identity";
import { fieldsAt } from "@/presentation/identity-words";
import { Button } from "@/ui/button";
import { useDayOrder } from "@/ui/day-order";
import { isoOf, TYPED_AS } from "@/ui/day-text";
import { SelectField, TextField } from "@/ui/field";

/** So many things are asked at once: a plate is read in passing. */
const AT_ONCE = 2;
const YES_NO = [
  { value: "", label: "not known" },
  { value: "yes", label: "yes" },
  { value: "no", label: "no" },
];

/** Its plate is in sight: the next two things nobody knows of it yet. All of it may wait. */
export default function PlateCard({
  of,
  known,
  isNew,
  onKeep,
}: {
  of: "unit" | { part: string };
  known: Identity;
  /** What it is of has just come in the place of an old one: when it was made comes first, its life counts from it. */
  isNew?: boolean | undefined;
  onKeep: (identity: Identity) => void;
}) {
  const order = useDayOrder();
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [problems, setProblems] = useState<Record<string, string>>({});
  const all = fieldsAt(of);
  const inOrder = isNew
    ? [...all.filter(({ key }) => key === "madeOn"), ...all.filter(({ key }) => key !== "madeOn")]
    : all;
  const missing = inOrder.filter(({ key }) => known[key] === undefined);
  const asked = missing.slice(0, AT_ONCE);
  if (asked.length === 0) return null;
  const keep = (press: HTMLElement) => {
    // Without the focus here the next press of Space goes to the step.
    press.blur();
    const filled = asked.flatMap(({ key, kind }): [string, unknown][] => {
      const text = (typed[key] ?? "").trim();
      const value =
        kind === "day" ? isoOf(text, order, true) : kind === "yes-no" ? text === "yes" : text;
      return text === "" ? [] : [[key, value]];
    });
    const read = identitySchema.safeParse(Object.fromEntries(filled));
    if (!read.success) {
      const named = read.error.issues.map(({ path }) => [
        String(path[0]),
        asked.some(({ key, kind }) => key === path[0] && kind === "day")
          ? "That is not a day."
          : "Shorter, please: up to 80 letters.",
      ]);
      return setProblems(Object.fromEntries(named) as Record<string, string>);
    }
    setProblems({});
    setTyped({});
    if (filled.length > 0) onKeep(read.data);
  };
  return (
    <details
      open={isNew && known.madeOn === undefined}
      className="max-w-[44rem] border-y border-rule py-2 text-[1.125rem]"
    >
      <summary className="min-h-11 cursor-pointer py-2 text-link">
        {isNew ? "The new one’s plate" : of === "unit" ? "Its plate" : "Its number"} is in sight:{" "}
        {missing.length === 1 ? "one thing" : `${missing.length} things`} nobody knows yet
      </summary>
      <div className="mt-2 grid gap-3 wide:grid-cols-2">
        {asked.map(({ key, label, kind, hint }) =>
          kind === "yes-no" ? (
            <SelectField
              key={key}
              name={key}
              label={label}
              options={YES_NO}
              className="min-h-14"
              value={typed[key] ?? ""}
              onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
            />
          ) : (
            <TextField
              key={key}
              name={key}
              label={label}
              hint={hint}
              {...(kind === "day" ? { placeholder: TYPED_AS[order] } : {})}
              maxLength={80}
              className="min-h-14"
              value={typed[key] ?? ""}
              error={problems[key]}
              onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
            />
          ),
        )}
      </div>
      <Button className="mt-3 min-h-14" onClick={(event) => keep(event.currentTarget)}>
        Keep it
      </Button>
    </details>
  );
}
