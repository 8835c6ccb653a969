import "server-only";
import type { OwnProcedure } from "@/core/runs/own-procedure";
import { insertOwnProcedure, updateOwnProcedure } from "@/db/repositories/own-procedures";
import { createdAt, type OpenHome } from "./home-command";

/**
 * Keeps a procedure of a home’s own. Jobs begun keep the one they began with: a run holds its own copy.
 *
 * @returns false where it names a job the home does not have
 */
export async function saveOwnProcedure(
  home: OpenHome,
  own: OwnProcedure,
  jobs: ReadonlySet<string>,
): Promise<boolean> {
  const { tx, homeId, snapshot } = home;
  if (!own.jobs.every((id) => jobs.has(id))) return false;
  if (snapshot.ownProcedures.some(({ id }) => id === own.id))
    await updateOwnProcedure(tx, homeId, own);
  else await insertOwnProcedure(tx, homeId, own, createdAt(home));
  return true;
}
