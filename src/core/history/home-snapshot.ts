import type { NotedSetting } from "../inventory/as-it-should-be";
import type {
  AirSystem,
  Contact,
  FilterSlot,
  Home,
  Item,
  Level,
  Part,
  Register,
  Room,
  ScopedDriver,
  Unit,
} from "../inventory/inventory";
import type { PlainDate } from "../quantities/plain-date";
import type { Instrument } from "../readings/conditions";
import type { Year } from "../planning/year";
import type { OwnProcedure } from "../runs/own-procedure";
import type { TaskSetting } from "../scheduling/task";
import type { Finding, Visit } from "../visits/visit";
import type { HistoryRecord } from "./history-record";

/** A home with everything that due dates follow from. */
export type HomeSnapshot = {
  home: Home;
  levels: Level[];
  rooms: Room[];
  registers: Register[];
  contacts: Contact[];
  systems: AirSystem[];
  /** In service, or being entered. */
  units: Unit[];
  /** Out of service; their parts are kept with those of the others. */
  retired: Unit[];
  /** Of the units in service. */
  slots: FilterSlot[];
  retiredSlots: FilterSlot[];
  /** Every other part, of all units. */
  parts: Part[];
  items: Item[];
  drivers: ScopedDriver[];
  /** What was changed of the jobs that come round. */
  tasks: TaskSetting[];
  /** Procedures that somebody wrote or changed. */
  ownProcedures: OwnProcedure[];
  /** Every note of how things are set, in the order in which they were made. */
  settings: NotedSetting[];
  /** Technicians’ visits, planned, under way and over, and what was found on them. */
  visits: Visit[];
  findings: Finding[];
  /** What readings are taken with. */
  instruments: Instrument[];
  /** Who goes round when, and the year as it was planned. */
  year: Year;
  /** Everything recorded, and what it amounts to. */
  history: HistoryRecord;
  actuals: { date: PlainDate; meanC: number }[];
  measured: { systemId: string; date: PlainDate; hours: number }[];
};
