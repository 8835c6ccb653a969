import type { Media } from "../filters/media";
import type { Attributes } from "../inventory/attribute";
import type { TaskDefinition } from "./task";
import type { Trigger } from "./trigger";

/**
 * The jobs that come round by default, by what they are at. The core is handed them: it knows how
 * jobs are planned, and nothing of which there are.
 */
export type JobCatalogue = {
  /** Of a home as a whole. */
  home: readonly TaskDefinition[];
  /** Of a unit as a whole, by its kind; none for a kind nobody knows. */
  unit: (unitKind: string) => readonly TaskDefinition[];
  /** Of a part other than a filter slot, by its kind, that of its unit, and how it is built. */
  part: (partKind: string, unitKind: string, attributes?: Attributes) => readonly TaskDefinition[];
  /** The change or cleaning of a filter at a machine of a kind. */
  renewal: (media: Media, unitKind: string) => TaskDefinition;
  /** What a filter wants beside its renewal. */
  besideRenewal: (media: Media) => readonly TaskDefinition[];
  /** The interval of the calendar strategy where no maker gave one. */
  calendar: (media: Media) => Trigger;
  look: (everyDays: number) => TaskDefinition;
  /** A look that only an event, or something noticed, asks for. */
  lookWhenAsked: (media: Media) => TaskDefinition;
  /** The look at a filter after its ducts were cleaned. */
  lookAfterDucts: TaskDefinition;
  /** When a filter goes that is looked at first. */
  atGrey: Trigger;
  /** When a filter goes whose unit has a light for it. */
  atLight: Trigger;
  /** The job that comes sooner where a dryer or a litter tray stands beside its unit. */
  soonerBesideLint: { key: string; trigger: Trigger };
};
