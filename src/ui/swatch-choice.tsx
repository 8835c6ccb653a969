import type { ReactNode } from "react";

export type SwatchOption = { value: string; name: string; drawing?: ReactNode };

/** A handful of things to have seen, large enough for gloves, one to choose. */
export function SwatchChoice({
  label,
  name,
  options,
  chosen,
  onChoose,
}: {
  label: string;
  name: string;
  options: readonly SwatchOption[];
  chosen?: string | undefined;
  onChoose: (value: string) => void;
}) {
  const isDrawn = options.some(({ drawing }) => drawing);
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">{label}</legend>
      <div
        className={`grid gap-2 ${isDrawn ? "grid-cols-2 wide:grid-cols-4" : "wide:grid-cols-2"}`}
      >
        {options.map(({ value, name: words, drawing }) => (
          <label
            key={value}
            className="flex min-h-14 flex-col items-center justify-center gap-1 rounded-sm border-2 border-second bg-surface px-3 py-2 text-center leading-tight has-checked:border-ink has-checked:outline-2 has-checked:outline-ink has-focus-visible:outline-3 has-focus-visible:outline-link"
          >
            <input
              type="radio"
              name={name}
              value={value}
              checked={chosen === value}
              onChange={() => onChoose(value)}
              className="sr-only"
            />
            {drawing}
            <span className="font-semibold">{words}</span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
