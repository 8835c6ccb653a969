import type { UnitSystem } from "@/core/quantities/length";
import type { Contact, FilterSlot, Unit } from "@/core/inventory/inventory";
import type { Identity } from "@/core/inventory/identity";
import type { SettingAt } from "@/presentation/setting-words";
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
  /** What is known of the machine and the part by their plates. */
  identity: { unit: Identity; part: Identity };
  /** The kind of the part, “filter-slot” where it is one, or the humidifier’s panel. */
  kindOfPart: string;
  /** How things of the house are set when all is as it should be. */
  settings: SettingAt[];
  finish: FinishStart;
  startedAt: string;
};
