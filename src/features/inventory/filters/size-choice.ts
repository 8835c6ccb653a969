import { PRINTED_SIZES } from "@/content/unit-kinds";
import type { Media } from "@/core/filters/media";
import type { FilterSlot } from "@/core/inventory/inventory";
import { readSize } from "@/core/quantities/size";
import { SIZE_WORDS } from "./slot-form";

/** By what a filter is asked for in a shop; not known is an answer. */
export const SIZE_BY = ["printed", "model", "unknown"] as const;
export type SizeBy = (typeof SIZE_BY)[number];

/** How it usually is for a medium: a mesh or a water panel has nothing printed on it. */
export const usualSizeBy = (media: Media): SizeBy =>
  PRINTED_SIZES.includes(media) ? "printed" : "model";

const LONGEST_MODEL = 80;

/** The names of the fields of one filter’s size, where a form asks for several. */
export const sizeFields = (id: string | number) => ({
  by: `sizeBy-${id}`,
  nominal: `nominal-${id}`,
  model: `model-${id}`,
});

type SizeRead = Pick<FilterSlot, "nominal" | "identity">;

/** Reads how big a filter is, by what is printed on it or its model; what is wrong is named at its field. */
export function readSizeChoice(
  text: (name: string) => string,
  id: string | number,
  media: Media,
  fallback: "in" | "mm",
): { size: SizeRead; problems: Record<string, string> } {
  const names = sizeFields(id);
  const by = SIZE_BY.find((each) => each === text(names.by)) ?? usualSizeBy(media);
  const nothing = (problems: Record<string, string> = {}) => ({ size: {}, problems });
  if (by === "unknown") return nothing();
  if (by === "model") {
    const model = text(names.model);
    // Nobody knows it: asked again where it is needed.
    if (model === "") return nothing();
    return model.length > LONGEST_MODEL
      ? nothing({ [names.model]: `Shorter, please: up to ${LONGEST_MODEL} letters.` })
      : { size: { identity: { model } }, problems: {} };
  }
  const typed = text(names.nominal);
  if (typed === "")
    return nothing({
      [names.nominal]:
        "Read it off the old filter’s frame, such as 20x20x1, or choose “not known yet”.",
    });
  const reading = readSize(typed, fallback);
  return reading.ok
    ? { size: { nominal: { text: typed, mm: reading.mm, unit: reading.unit } }, problems: {} }
    : nothing({ [names.nominal]: SIZE_WORDS[reading.why] });
}
