import { ChoiceFrame, Radio } from "./field";
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
    <ChoiceFrame {...{ label, name, error }} className="grid grid-cols-2 gap-2 wide:grid-cols-4">
      {options.map((option) => (
        <label
          key={option.value}
          className="flex min-h-24 flex-col items-center justify-center gap-1 rounded-sm border-2 border-rule bg-surface px-2 py-2 text-center has-checked:border-ink has-checked:outline-2 has-checked:outline-ink has-focus-visible:outline-3 has-focus-visible:outline-link"
        >
          <Radio
            name={name}
            value={option.value}
            defaultValue={defaultValue}
            onChange={() => onChoose?.(option.value)}
          />
          <FilterSwatch shade={option.value} />
          <span className="font-semibold">{option.name}</span>
          <span className="sr-only">{option.meaning}</span>
        </label>
      ))}
    </ChoiceFrame>
  );
}
