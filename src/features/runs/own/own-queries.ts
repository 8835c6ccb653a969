import "server-only";
import { procedure, procedureIn } from "@/content/procedures/library";
import type { Procedure } from "@/core/runs/procedure";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { inSentence } from "@/core/quantities/words";
import type { Option } from "@/ui/field";
import { homeSnapshot, tasksNow } from "@/server/snapshots/snapshot-cache";
import { blankProcedure, fieldsOfOwn } from "./own-form";

export type OwnPage = {
  id: string;
  before: Procedure | null;
  basedOn: string | null;
  fields: Record<string, string[]>;
  /** Jobs it may do; the first is none. */
  jobs: Option[];
};

const jobOptions = (snapshot: HomeSnapshot): Option[] => [
  { value: "", label: "no job by itself" },
  ...tasksNow(snapshot)
    .filter(({ isOff }) => !isOff)
    .map((task) => {
      const unit = snapshot.units.find(({ id }) => id === task.unitId);
      return { value: task.id, label: unit ? `${unit.name}: ${inSentence(task.name)}` : task.name };
    }),
];

/** A new procedure of one’s own: a copy of the library’s, or one from nothing, for a job perhaps. */
export async function newOwnPageOf(
  homeId: string,
  copyOf: string | undefined,
  job: string | undefined,
): Promise<OwnPage | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const id = `own-${crypto.randomUUID()}`;
  const original =
    copyOf === undefined || !procedure(copyOf) ? null : procedureIn(snapshot, copyOf);
  const own = snapshot.ownProcedures.find((each) => each.id === copyOf);
  const before = own?.procedure ?? original;
  const start = before ? { ...before, title: `${before.title}, our way` } : blankProcedure(id);
  return {
    id,
    before,
    basedOn: own?.basedOn ?? original?.id ?? null,
    fields: fieldsOfOwn(start, job ?? ""),
    jobs: jobOptions(snapshot),
  };
}

/** One that is there already. */
export async function ownPageOf(homeId: string, id: string): Promise<OwnPage | null> {
  const snapshot = await homeSnapshot(homeId);
  const own = snapshot?.ownProcedures.find((each) => each.id === id);
  if (!snapshot || !own) return null;
  return {
    id,
    before: own.procedure,
    basedOn: own.basedOn ?? null,
    fields: fieldsOfOwn(own.procedure, own.jobs[0] ?? ""),
    jobs: jobOptions(snapshot),
  };
}
