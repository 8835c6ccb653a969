import type { CapacitorStrategy } from "@/core/readings/judge";
import type { ReadingKind } from "@/core/readings/reading-kinds";
import type { UnitSystem } from "@/core/quantities/length";
import type { Contact, FilterSlot, Unit } from "@/core/inventory/inventory";
import type { Identity } from "@/core/inventory/identity";
import type { SettingAt } from "@/presentation/setting-words";
import type { FinishStart } from "../finish/finish-form";
import type { SeenAt } from "@/presentation/lead-words";
import type { Places } from "../step/rounds";

/** Everything the register knows that a run needs beside itself. */
export type RunWith = {
  homeId: string;
  unit: Unit | undefined;
  slot: FilterSlot | undefined;
  title: string;
  dateToday: string;
  today: string;
  tryAgain: string;
  system: UnitSystem;
  currency: string;
  places: Places;
  contacts: Contact[];
  rules: string | undefined;
  hasGas: boolean;
  /** The pictures that are still there. */
  photos: string[];
  /** What is known of the machine and the part by their plates. */
  identity: { unit: Identity; part: Identity };
  /** The kind of the part, “filter-slot” where it is one, or the humidifier’s panel. */
  kindOfPart: string;
  /** How things of the house are set when all is as it should be. */
  settings: SettingAt[];
  /** By kind of reading: what stood on the plate beside the last one here, in the home’s units. */
  ratedBefore: Partial<Record<ReadingKind, readonly string[]>>;
  /** Which capacitor strategy the home follows. */
  school: CapacitorStrategy;
  /** The jobs of its machine that a visit may do, to tick those that were done. */
  works: { value: string; label: string; hint?: string }[];
  /** The parts of one kind that a job is done at together, by that kind. */
  ticks: Record<string, { value: string; label: string; hint?: string }[]>;
  /** What decides whether what is seen here leads on: its machine, its part, the weather. */
  seenAt: SeenAt;
  /** Which way the air goes through its machine, or the furnace of its air. */
  position: string | undefined;
  /** What its radiators hold together, where that is written down. */
  radiatorLitres: number | null;
  /** The runs of its ducts whose length is known. */
  ductRuns: { name: string; lengthM: number; level: number }[];
  finish: FinishStart;
  startedAt: string;
};
