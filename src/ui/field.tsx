import type { ComponentProps, ReactNode } from "react";

const CONTROL =
  "w-full min-h-11 rounded-sm border-[1.5px] border-second bg-surface px-3 py-2 text-ink aria-invalid:border-attention aria-invalid:border-2";

type Common = { label: string; name: string; hint?: ReactNode; error?: string | undefined };

const ids = (id: string, hint: ReactNode, error: string | undefined) => ({
  hintId: hint ? `${id}-hint` : undefined,
  errorId: error ? `${id}-error` : undefined,
});

/** A label above, the control, a hint, and the problem in words right at the field. */
function Frame({
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
      {error && (
        <p id={errorId} className="flex gap-2 font-medium text-attention-text">
          <span aria-hidden="true" className="mt-1 inline-block h-4 w-1.5 shrink-0 bg-attention" />
          {error}
        </p>
      )}
      {hint && (
        <p id={hintId} className="text-[0.9375rem] text-second">
          {hint}
        </p>
      )}
    </div>
  );
}

const described = (id: string, hint: ReactNode, error: string | undefined) => {
  const { hintId, errorId } = ids(id, hint, error);
  const list = [errorId, hintId].filter(Boolean).join(" ");
  return {
    "aria-describedby": list || undefined,
    "aria-invalid": error ? (true as const) : undefined,
  };
};

export function TextField({
  label,
  name,
  id = name,
  hint,
  error,
  className = "",
  ...rest
}: Common & Omit<ComponentProps<"input">, "name">) {
  return (
    <Frame id={id} label={label} hint={hint} error={error}>
      <input
        id={id}
        name={name}
        autoComplete="off"
        className={`${CONTROL} ${className}`}
        {...described(id, hint, error)}
        {...rest}
      />
    </Frame>
  );
}

export function TextArea({
  label,
  name,
  id = name,
  hint,
  error,
  className = "",
  ...rest
}: Common & Omit<ComponentProps<"textarea">, "name">) {
  return (
    <Frame id={id} label={label} hint={hint} error={error}>
      <textarea
        id={id}
        name={name}
        className={`${CONTROL} ${className}`}
        {...described(id, hint, error)}
        {...rest}
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
  error,
  options,
  className = "",
  ...rest
}: Common & Omit<ComponentProps<"select">, "name"> & { options: readonly Option[] }) {
  return (
    <Frame id={id} label={label} hint={hint} error={error}>
      <select
        id={id}
        name={name}
        className={`${CONTROL} ${className}`}
        {...described(id, hint, error)}
        {...rest}
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

export function CheckField({
  label,
  name,
  hint,
  ...rest
}: Omit<Common, "error"> & Omit<ComponentProps<"input">, "name">) {
  return (
    <label className="flex min-h-11 items-start gap-3 py-2">
      <input type="checkbox" name={name} className="mt-0.5 size-5 shrink-0 accent-link" {...rest} />
      <span>
        <span className="font-semibold">{label}</span>
        {hint && <span className="block text-[0.9375rem] text-second">{hint}</span>}
      </span>
    </label>
  );
}

/** A question with a handful of answers, all in sight. */
export function ChoiceField({
  label,
  name,
  options,
  defaultValue,
  error,
  hint,
}: Common & { options: readonly Option[]; defaultValue?: string | undefined }) {
  const { hintId, errorId } = ids(name, hint, error);
  return (
    <fieldset
      role="radiogroup"
      className="flex flex-col gap-1"
      aria-invalid={error ? true : undefined}
      aria-describedby={[errorId, hintId].filter(Boolean).join(" ") || undefined}
    >
      <legend className="mb-1 font-semibold">{label}</legend>
      <div className="flex flex-wrap gap-2">
        {options.map((option) => (
          <label
            key={option.value}
            className="flex min-h-11 items-center gap-2 rounded-sm border-[1.5px] border-second bg-surface px-3 py-2 has-checked:border-ink has-checked:bg-ink has-checked:text-ground has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-link"
          >
            <input
              type="radio"
              name={name}
              value={option.value}
              defaultChecked={option.value === defaultValue}
              className="sr-only"
            />
            {option.label}
          </label>
        ))}
      </div>
      {error && (
        <p id={errorId} className="font-medium text-attention-text">
          {error}
        </p>
      )}
      {hint && (
        <p id={hintId} className="text-[0.9375rem] text-second">
          {hint}
        </p>
      )}
    </fieldset>
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
