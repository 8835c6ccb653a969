import { FilterSwatch } from "./filter-swatch";

type Shade = Parameters<typeof FilterSwatch>[0]["shade"];
export type GradeOption = { value: Shade; name: string; meaning: string };

/** A row of drawn filters from white to caved in, one to choose. */
export function GradeChoice({
  label,
  name,
  options,
  defaultValue,
  error,
  onChoose,
}: {
  label: string;
  name: string;
  options: readonly GradeOption[];
  defaultValue?: string | undefined;
  error?: string | undefined;
  onChoose?: (value: Shade) => void;
}) {
  return (
    <fieldset
      role="radiogroup"
      aria-invalid={error ? true : undefined}
      aria-describedby={error ? `${name}-error` : undefined}
    >
      <legend className="mb-1 font-semibold">{label}</legend>
      <div className="grid grid-cols-2 gap-2 wide:grid-cols-4">
        {options.map((option) => (
          <label
            key={option.value}
            className="flex min-h-24 flex-col items-center justify-center gap-1 rounded-sm border-2 border-rule bg-surface px-2 py-2 text-center has-checked:border-ink has-checked:outline-2 has-checked:outline-ink has-focus-visible:outline-3 has-focus-visible:outline-link"
          >
            <input
              type="radio"
              name={name}
              value={option.value}
              defaultChecked={option.value === defaultValue}
              onChange={() => onChoose?.(option.value)}
              className="sr-only"
            />
            <FilterSwatch shade={option.value} />
            <span className="font-semibold">{option.name}</span>
            <span className="sr-only">{option.meaning}</span>
          </label>
        ))}
      </div>
      {error && (
        <p id={`${name}-error`} className="mt-1 font-medium text-attention-text">
          {error}
        </p>
      )}
    </fieldset>
  );
}
