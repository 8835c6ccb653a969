"use server";

import { invalid, overtaken, singles, type FormState } from "@/lib/forms";
import { formCommand, houseOf } from "@/server/commands/form-command";
import { unitIn } from "@/server/commands/home-command";
import * as records from "@/server/commands/records";
import { tasksNow } from "@/server/snapshots/snapshot-cache";
import { breakdownForm } from "./breakdown-form";
import { fieldsOfBreakdown } from "./breakdown-queries";

/** A machine that stopped, or what was learnt of it since: the older entry stays in the record. */
export async function saveBreakdown(
  homeId: string,
  at: { unitId: string; eventId?: string },
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const { snapshot, today } = home;
    const unit = unitIn(home, at.unitId);
    if (!unit) return houseOf(homeId);
    const before = snapshot.history.ofKind("breakdown").find(({ id }) => id === at.eventId);
    if (at.eventId !== undefined && !before) return { to: `/homes/${homeId}/breakdowns` };
    const { currency } = snapshot.home;
    const theirs = before && overtaken(previous, form, fieldsOfBreakdown(before, currency));
    if (theirs) return theirs;
    const taskIds = tasksNow(snapshot).flatMap(({ id, unitId }) =>
      unitId === unit.id ? [id] : [],
    );
    const parsed = breakdownForm({ taskIds, currency, today }).safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const entry = { kind: "breakdown" as const, unitId: unit.id, ...parsed.data };
    if (before) {
      await records.record(home, { ...entry, corrects: before.id });
      return { to: `/homes/${homeId}/breakdowns` };
    }
    const noted = await records.record(home, entry);
    return { to: `/homes/${homeId}/units/${unit.id}`, noted };
  });
}
