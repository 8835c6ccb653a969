import "server-only";
import { moneyWords } from "@/core/quantities/money";
import { dateWords } from "@/core/quantities/words";
import { DECISION_WORDS } from "@/content/visits";
import { visitsOf } from "./visit-queries";
import type { VisitListRow } from "./visits-view";

type OpenRow = {
  id: string;
  visitId: string;
  unitName: string;
  words: string;
  when: string;
  isBack: boolean;
};

/** The visits of a home as a list, and what was found on them and is not put right yet. */
export async function visitListOf(
  homeId: string,
): Promise<{ rows: VisitListRow[]; open: OpenRow[] } | null> {
  const page = await visitsOf(homeId);
  if (!page) return null;
  const { snapshot, today } = page;
  const { currency } = snapshot.home;
  return {
    rows: page.rows.map(({ visit, state, who, machines, why }) => ({
      id: visit.id,
      day: visit.on ?? "",
      when: visit.on ? dateWords(visit.on, today) : "no day yet",
      ...{ who, machines, why, state },
      verdict: visit.verdict ?? null,
      cost: visit.costMinor === undefined ? "" : moneyWords({ minor: visit.costMinor, currency }),
      costMinor: visit.costMinor ?? 0,
    })),
    open: page.open.map(({ id, visitId, unitName, words, until, decision, isBack }) => ({
      id,
      visitId,
      unitName,
      words,
      when: until ? `watched until ${dateWords(until, today)}` : DECISION_WORDS[decision],
      isBack,
    })),
  };
}
