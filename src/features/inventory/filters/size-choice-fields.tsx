"use client";

import type { Media } from "@/core/filters/media";
import { actualSize, isRound, readSize, sizeWords } from "@/core/quantities/size";
import { SelectField, TextField } from "@/ui/field";
import { useTypedText } from "@/ui/form";
import { sizeFields, usualSizeBy } from "./size-choice";

const BY = [
  { value: "printed", label: "printed on its frame" },
  { value: "model", label: "a model or part number" },
  { value: "unknown", label: "not known yet" },
];

/** By what a filter is bought: its printed size, a number, or not known yet. */
export function SizeChoice({
  id,
  media,
  unit,
}: {
  id: string | number;
  media: Media;
  unit: "in" | "mm";
}) {
  const names = sizeFields(id);
  const usual = usualSizeBy(media);
  const by = useTypedText(names.by) || usual;
  return (
    <div className="grid gap-4 wide:grid-cols-[15rem_minmax(0,1fr)]">
      <SelectField label="It is bought by" name={names.by} options={BY} defaultValue={usual} />
      <div hidden={by !== "printed"}>
        <SizeField name={names.nominal} unit={unit} />
      </div>
      <div hidden={by !== "model"}>
        <TextField
          label="Model or part number"
          name={names.model}
          hint="On the part itself, inside the door, or in the manual. The machine’s own model will do."
        />
      </div>
      <p hidden={by !== "unknown"} className="self-end pb-2 text-second">
        It is asked again where it is needed: before the next change.
      </p>
    </div>
  );
}

/** A printed size, and how it was understood, as it is typed. */
export function SizeField({ name, unit }: { name: string; unit: "in" | "mm" }) {
  const text = useTypedText(name);
  const reading = readSize(text, unit);
  const understood = !reading.ok
    ? "Width × height × depth off the old filter’s frame: 20x20x1, 20 x 25 x 4 in, 500×500×48. Round: ø200 × 300 mm."
    : isRound(text)
      ? `Read as ø ${sizeWords(reading.mm, unit)}: across, and its height.`
      : reading.mm.d === undefined
        ? `Read as ${sizeWords(reading.mm, reading.unit === "in" ? "in" : "mm")}. How deep is it? Add it: ${reading.unit === "in" ? "“x1”, “x2”, “x4”" : "“×25”, “×48”"}.`
        : reading.unit === "in"
          ? `Read as ${sizeWords(reading.mm, "in")}. Really about ${sizeWords(actualSize(reading.mm, "in"), unit)}: such frames are made half an inch smaller, so that they slide.`
          : `Read as ${sizeWords(reading.mm, "mm")}.`;
  return <TextField label="Printed size" name={name} hint={understood} />;
}
