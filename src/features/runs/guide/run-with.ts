import type { UnitSystem } from "@/core/quantities/length";
import type { Contact, FilterSlot, Unit } from "@/core/inventory/inventory";
import type { FinishStart } from "../finish/finish-form";
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
  finish: FinishStart;
  startedAt: string;
};
