import "server-only";
import type { Unit } from "@/core/inventory/inventory";
import { updateHome } from "@/db/repositories/homes";
import type { OpenHome } from "./home-command";
import { changeUnit } from "./units";

export type MoneyFacts = {
  purchaseMinor: number | undefined;
  replacementMinor: number | undefined;
  /** Of the home: what an hour of one’s own is worth. */
  hourMinor: number | undefined;
};

/** What a machine cost and a new one would, and what an hour of the household’s work is worth. */
export async function changeMoney(
  home: OpenHome,
  unit: Unit,
  { hourMinor, ...prices }: MoneyFacts,
): Promise<void> {
  await changeUnit(home, unit, prices);
  const { hourMinor: _, ...others } = home.snapshot.home;
  await updateHome(home.tx, { ...others, ...(hourMinor === undefined ? {} : { hourMinor }) });
}
