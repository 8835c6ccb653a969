import type { Home } from "@/core/inventory/inventory";
import type { OwnProcedure } from "@/core/runs/own-procedure";
import { englishOf, procedureInEnglish } from "../english";
import type { Procedure } from "@/core/runs/procedure";
import type { Media } from "@/core/filters/media";
import { brushPortableCoils } from "./brush-portable-coils";
import { changePanelFilter } from "./change-panel-filter";
import { cleanWashableFilter } from "./clean-washable-filter";
import { coolingTest } from "./cooling-test";
import { flushCondensateLine } from "./flush-condensate-line";
import * as furnace from "./furnace";
import * as kitchenAndBath from "./kitchen-and-bath";
import * as vents from "./vents";
import * as humidifier from "./humidifier";
import * as rooms from "./rooms";
import * as cooling from "./cooling";
import * as ductless from "./ductless";
import * as ventilation from "./ventilation";
import * as hydronic from "./hydronic";
import * as portable from "./portable";
import * as gas from "./gas";
import * as ducts from "./ducts";
import * as technician from "./technician";
import { magneticFullClean, magneticQuickFlush } from "./magnetic-filter";
import { polishFlameSensor } from "./polish-flame-sensor";
import { purifierPreFilter } from "./purifier-pre-filter";
import { rinseOutdoorCoil } from "./rinse-outdoor-coil";
import { walkRound } from "./walk-round";
import { cleanFlatPreFilter, washElectrostaticCells } from "./wash-electrostatic-cells";
import { washFineFilter } from "./wash-fine-filter";
import { washRecoveryCore } from "./wash-recovery-core";

/** The library by what it is about. */
export const LIBRARY: readonly { name: string; procedures: readonly Procedure[] }[] = [
  {
    name: "The whole house",
    procedures: [walkRound, ...Object.values(rooms)],
  },
  {
    name: "Filters in ducts and machines",
    procedures: [
      changePanelFilter,
      cleanWashableFilter,
      washElectrostaticCells,
      cleanFlatPreFilter,
    ],
  },
  {
    name: "Furnace and vent",
    procedures: [...Object.values(furnace), polishFlameSensor, ...Object.values(vents)],
  },
  {
    name: "Cooling",
    procedures: [...Object.values(cooling), flushCondensateLine, coolingTest, rinseOutdoorCoil],
  },
  { name: "Ductless heat pump", procedures: [...Object.values(ductless), washFineFilter] },
  {
    name: "Ventilation and purifiers",
    procedures: [...Object.values(ventilation), washRecoveryCore, purifierPreFilter],
  },
  { name: "Humidifier", procedures: Object.values(humidifier) },
  {
    name: "Heating by water",
    procedures: [magneticQuickFlush, magneticFullClean, ...Object.values(hydronic)],
  },
  {
    name: "Machines that stand in a room",
    procedures: [...Object.values(portable), brushPortableCoils],
  },
  { name: "Kitchen and bath", procedures: Object.values(kitchenAndBath) },
  { name: "Bottles, hoses, hot water", procedures: Object.values(gas) },
  { name: "Ducts and dryer", procedures: Object.values(ducts) },
  { name: "By licensed people", procedures: Object.values(technician) },
];

export const PROCEDURES: readonly Procedure[] = LIBRARY.flatMap(({ procedures }) => procedures);

export function procedure(id: string): Procedure | null {
  return PROCEDURES.find((each) => each.id === id) ?? null;
}

/** A procedure of a home’s own, or of the library in the home’s English. */
export function procedureIn(
  {
    ownProcedures,
    home,
  }: { ownProcedures: readonly OwnProcedure[]; home: Pick<Home, "unitSystem"> },
  id: string,
): Procedure | null {
  const own = ownProcedures.find((each) => each.id === id);
  if (own) return own.procedure;
  const found = procedure(id);
  return found && procedureInEnglish(englishOf(home), found);
}

const RENEWALS: Readonly<Record<Media, Procedure>> = {
  "fibreglass-25": changePanelFilter,
  "pleated-25": changePanelFilter,
  "pleated-50": changePanelFilter,
  "pleated-100": changePanelFilter,
  "pleated-125": changePanelFilter,
  "washable-panel": cleanWashableFilter,
  "carbon-prefilter": purifierPreFilter,
  "electrostatic-cell": washElectrostaticCells,
  "head-mesh": ductless.cleanHeadMesh,
  "heater-mesh": portable.cleanHeaterMesh,
  "portable-mesh": portable.cleanPortableMesh,
  "vent-coarse": ventilation.changeVentFilter,
  "vent-fine": ventilation.changeVentFilter,
  "hepa-cylinder": ventilation.changeHepa,
  "humidifier-panel": humidifier.changeWaterPanel,
};

/** How a filter of this kind is renewed at a machine of this kind, step by step. */
export const renewalOf = (media: Media, unitKind: string): Procedure =>
  unitKind === "electrostatic-cleaner" && media === "washable-panel"
    ? cleanFlatPreFilter
    : RENEWALS[media];

/** What a procedure is found by: what its steps say. */
export const procedureWords = (): { id: string; title: string; words: string }[] =>
  PROCEDURES.map(({ id, title, steps }) => ({
    id,
    title,
    words: [
      id,
      ...steps.flatMap(({ title: name, detail = "", tools = [], consumables = [] }) => [
        name,
        detail,
        ...tools,
        ...consumables,
      ]),
    ].join(" "),
  }));
