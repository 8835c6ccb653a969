"use client";

import type { ComponentProps, ReactNode, RefCallback } from "react";
import { useControl, useFormAround, useOption } from "./form-fields";

const CONTROL =
  "w-full min-h-11 rounded-sm border-[1.5px] border-second bg-surface px-3 py-2 text-ink aria-invalid:border-attention aria-invalid:border-2";

/** What a control takes besides; who wants its element hands over a function. */
type PropsOf<T extends "input" | "select" | "textarea"> = Omit<ComponentProps<T>, "ref"> & {
  ref?: RefCallback<HTMLElementTagNameMap[T]>;
};

type Common = { label: string; name: string; hint?: ReactNode; error?: string | undefined };

const ids = (id: string, hint: ReactNode, error: string | undefined) => ({
  hintId: hint ? `${id}-hint` : undefined,
  errorId: error ? `${id}-error` : undefined,
});

/** The problem of a field, in words right at it. */
function Problem({ id, words }: { id: string | undefined; words: string | undefined }) {
  if (!words) return null;
  return (
    <p id={id} className="flex gap-2 font-medium text-attention-text">
      <span aria-hidden="true" className="mt-1 inline-block h-4 w-1.5 shrink-0 bg-attention" />
      {words}
    </p>
  );
}

function Hint({ id, words }: { id: string | undefined; words: ReactNode }) {
  if (!words) return null;
  return (
    <p id={id} className="text-[0.9375rem] text-second">
      {words}
    </p>
  );
}

/** A label above, the control, the problem, and a hint. */
export function Frame({
  id,
  label,
  hint,
  error,
  children,
}: Omit<Common, "name"> & { id: string; children: ReactNode }) {
  const { hintId, errorId } = ids(id, hint, error);
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      {children}
      <Problem id={errorId} words={error} />
      <Hint id={hintId} words={hint} />
    </div>
  );
}

export const described = (id: string, hint: ReactNode, error: string | undefined) => {
  const { hintId, errorId } = ids(id, hint, error);
  const list = [errorId, hintId].filter(Boolean).join(" ");
  return {
    "aria-describedby": list || undefined,
    "aria-invalid": error ? (true as const) : undefined,
  };
};

/** The problem of a field: what it is given, or else what its form says of that name. */
function useProblem(name: string, given: string | undefined): string | undefined {
  const form = useFormAround();
  return given ?? form?.error(name);
}

type Start = ComponentProps<"input">["defaultValue"];

/** What a control starts with: what its form holds of that name, or else what it is given. */
function useStart(name: string, { value, defaultValue }: { value?: Start; defaultValue?: Start }) {
  const form = useFormAround();
  return value === undefined ? { defaultValue: form?.value(name) ?? defaultValue } : {};
}

export function TextField({
  label,
  name,
  id = name,
  hint,
  error: given,
  className = "",
  ...rest
}: Common & Omit<PropsOf<"input">, "name">) {
  const error = useProblem(name, given);
  return (
    <Frame id={id} label={label} hint={hint} error={error}>
      <input
        id={id}
        name={name}
        autoComplete="off"
        className={`${CONTROL} ${className}`}
        {...described(id, hint, error)}
        {...rest}
        {...useStart(name, rest)}
        {...useControl(name, rest)}
      />
    </Frame>
  );
}

export function TextArea({
  label,
  name,
  id = name,
  hint,
  error: given,
  className = "",
  ...rest
}: Common & Omit<PropsOf<"textarea">, "name">) {
  const error = useProblem(name, given);
  return (
    <Frame id={id} label={label} hint={hint} error={error}>
      <textarea
        id={id}
        name={name}
        className={`${CONTROL} ${className}`}
        {...described(id, hint, error)}
        {...rest}
        {...useStart(name, rest)}
        {...useControl(name, rest)}
      />
    </Frame>
  );
}

export type Option = { value: string; label: string };

export function SelectField({
  label,
  name,
  id = name,
  hint,
  error: given,
  options,
  className = "",
  ...rest
}: Common & Omit<PropsOf<"select">, "name"> & { options: readonly Option[] }) {
  const error = useProblem(name, given);
  return (
    <Frame id={id} label={label} hint={hint} error={error}>
      <select
        id={id}
        name={name}
        className={`${CONTROL} ${className}`}
        {...described(id, hint, error)}
        {...rest}
        {...useStart(name, rest)}
        {...useControl(name, rest)}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
    </Frame>
  );
}

/** A box to tick; one that stands for itself says its own problem. */
export function CheckField({
  label,
  name,
  hint,
  value = "on",
  ...rest
}: Omit<Common, "error"> & Omit<PropsOf<"input">, "name" | "value"> & { value?: string }) {
  const form = useFormAround();
  const error = value === "on" ? form?.error(name) : undefined;
  const first = form?.values(name) ?? [];
  return (
    <>
      <label className="flex min-h-11 items-start gap-3 py-2">
        <input
          type="checkbox"
          name={name}
          value={value}
          className="mt-0.5 size-5 shrink-0 accent-link"
          {...(error && described(name, null, error))}
          {...(form && { defaultChecked: first.includes(value) })}
          {...rest}
          {...useOption(name, rest)}
        />
        <span>
          <span className="font-semibold">{label}</span>
          {hint && <span className="block text-[0.9375rem] text-second">{hint}</span>}
        </span>
      </label>
      <Problem id={`${name}-error`} words={error} />
    </>
  );
}

/** Several things of one kind to tick, and what is wrong with the choice. */
export function CheckGroup({
  label,
  name,
  options,
  className = "",
}: {
  label: string;
  name: string;
  options: readonly Option[];
  className?: string;
}) {
  const error = useProblem(name, undefined);
  return (
    <fieldset {...described(name, null, error)}>
      <legend className="font-semibold">{label}</legend>
      <div className={className}>
        {options.map((option) => (
          <CheckField key={option.value} name={name} {...option} />
        ))}
      </div>
      <Problem id={`${name}-error`} words={error} />
    </fieldset>
  );
}

/** One of a handful of answers, drawn by who uses it. */
export function Radio({
  name,
  value,
  defaultValue,
  ...rest
}: Omit<PropsOf<"input">, "defaultValue"> & {
  name: string;
  value: string;
  /** The answer that is chosen at the start, where the form holds none. */
  defaultValue?: string | undefined;
}) {
  const form = useFormAround();
  const isGiven = rest.checked !== undefined;
  return (
    <input
      type="radio"
      name={name}
      value={value}
      className="sr-only"
      {...(isGiven ? {} : { defaultChecked: value === (form?.value(name) ?? defaultValue) })}
      {...rest}
      {...useOption(name, rest)}
    />
  );
}

/** A question with one answer out of several, drawn by who asks it. */
export function ChoiceFrame({
  label,
  name,
  hint,
  error: given,
  isSaid = true,
  className,
  children,
}: Common & {
  /** Whether the question is in sight: where the heading says it, it is for the ear alone. */
  isSaid?: boolean;
  className: string;
  children: ReactNode;
}) {
  const error = useProblem(name, given);
  const { hintId, errorId } = ids(name, hint, error);
  return (
    <fieldset role="radiogroup" className="flex flex-col gap-1" {...described(name, hint, error)}>
      <legend className={isSaid ? "mb-1 font-semibold" : "sr-only"}>{label}</legend>
      <div className={className}>{children}</div>
      <Problem id={errorId} words={error} />
      <Hint id={hintId} words={hint} />
    </fieldset>
  );
}

/** A question with a handful of answers, all in sight. */
export function ChoiceField({
  options,
  defaultValue,
  ...rest
}: Common & {
  options: readonly (Option & { drawing?: ReactNode })[];
  defaultValue?: string | undefined;
}) {
  return (
    <ChoiceFrame {...rest} className="flex flex-wrap gap-2">
      {options.map((option) => (
        <label
          key={option.value}
          className="flex min-h-11 items-center gap-2 rounded-sm border-[1.5px] border-second bg-surface px-3 py-2 has-checked:border-ink has-checked:bg-ink has-checked:text-ground has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-link"
        >
          <Radio name={rest.name} value={option.value} defaultValue={defaultValue} />
          {option.drawing && <span className="bg-surface text-ink">{option.drawing}</span>}
          {option.label}
        </label>
      ))}
    </ChoiceFrame>
  );
}

/** A heading, a sentence, and the fields that belong together under it. */
export function FormSection({
  title,
  intro,
  children,
}: {
  title: string;
  intro?: string;
  children: ReactNode;
}) {
  return (
    <section className="grid gap-x-10 gap-y-4 border-t-2 border-ink pt-4 pb-8 wide:grid-cols-[15rem_minmax(0,1fr)]">
      <div>
        <h2 className="text-xl">{title}</h2>
        {intro && <p className="mt-1 text-second">{intro}</p>}
      </div>
      <div className="flex max-w-2xl flex-col gap-5">{children}</div>
    </section>
  );
}
