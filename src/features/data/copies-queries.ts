import "server-only";
import { copiesHere, type CopyHere } from "@/server/snapshots/backup";
import { listHomes } from "@/server/snapshots/beside";

/** The copies beside the database, and the homes that are here now. */
export async function copiesToShow(): Promise<{ copies: CopyHere[]; homes: string[] }> {
  const [copies, homes] = await Promise.all([copiesHere(), listHomes()]);
  return { copies, homes: homes.map(({ name }) => name) };
}
