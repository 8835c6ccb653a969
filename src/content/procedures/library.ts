import type { Procedure } from "@/core/runs/procedure";
import type { Media } from "@/core/filters/media";
import { brushPortableCoils } from "./brush-portable-coils";
import { changePanelFilter } from "./change-panel-filter";
import { cleanWashableFilter } from "./clean-washable-filter";
import { coolingTest } from "./cooling-test";
import { flushCondensateLine } from "./flush-condensate-line";
import { magneticFullClean, magneticQuickFlush } from "./magnetic-filter";
import { polishFlameSensor } from "./polish-flame-sensor";
import { purifierPreFilter } from "./purifier-pre-filter";
import { rinseOutdoorCoil } from "./rinse-outdoor-coil";
import { walkRound } from "./walk-round";
import { washElectrostaticCells } from "./wash-electrostatic-cells";
import { washFineFilter } from "./wash-fine-filter";
import { washRecoveryCore } from "./wash-recovery-core";

export const PROCEDURES: readonly Procedure[] = [
  changePanelFilter,
  cleanWashableFilter,
  walkRound,
  polishFlameSensor,
  flushCondensateLine,
  coolingTest,
  rinseOutdoorCoil,
  washFineFilter,
  washRecoveryCore,
  purifierPreFilter,
  magneticQuickFlush,
  magneticFullClean,
  washElectrostaticCells,
  brushPortableCoils,
];

export function procedure(id: string): Procedure | null {
  return PROCEDURES.find((each) => each.id === id) ?? null;
}

const RENEWALS: Partial<Record<Media, Procedure>> = {
  "fibreglass-25": changePanelFilter,
  "pleated-25": changePanelFilter,
  "pleated-50": changePanelFilter,
  "pleated-100": changePanelFilter,
  "pleated-125": changePanelFilter,
  "washable-panel": cleanWashableFilter,
  "carbon-prefilter": purifierPreFilter,
  "electrostatic-cell": washElectrostaticCells,
};

/** The job that renews a filter of this kind, where the library has it step by step. */
export const renewalOf = (media: Media): Procedure | null => RENEWALS[media] ?? null;

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
