"use server";

import { fogLimitOn } from "@/core/readings/fog-limit";
import { judgementOf } from "@/core/history/readings-taken";
import { HOUSEHOLD, type Visit } from "@/core/visits/visit";
import { fieldsOf, refused, type FormState } from "@/lib/forms";
import { follow, formCommand } from "@/server/commands/form-command";
import { inHome, type Lead, type OpenHome } from "@/server/commands/home-command";
import * as visits from "@/server/commands/visits";
import { readChecks, readEnd, readFinding, readPlan } from "./visit-form";
import { checksOf, jobFrom } from "./visit-queries";

// Every one of these asks in the name of the household. A technician’s own way in would pass its asker.
const asker = HOUSEHOLD;
const has = (problems: Record<string, string>) => Object.keys(problems).length > 0;
const listOf = ({ homeId }: OpenHome): Lead => ({ to: `/homes/${homeId}/visits` });
const pageOf = ({ homeId }: OpenHome, id: string): string => `/homes/${homeId}/visits/${id}`;

const known = ({ snapshot, today }: OpenHome, isPast: boolean) => ({
  units: snapshot.units.map(({ id }) => id),
  contacts: snapshot.contacts.map(({ id }) => id),
  today,
  isPast,
});

/** Plans a visit, or changes the plan of one. */
export async function savePlan(
  homeId: string,
  visitId: string | null,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const { values, problems } = readPlan(typed, known(home, false));
    if (has(problems)) return refused(previous, typed, problems);
    if (visitId === null) return { to: pageOf(home, await visits.planVisit(home, values)) };
    const visit = visits.visitIn(home, asker, visitId);
    if (!visit) return listOf(home);
    await visits.changePlan(home, visit, values);
    return { to: pageOf(home, visitId) };
  });
}

/** Writes down a visit that was, from its paper. */
export async function enterPast(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const { values, problems } = readPlan(typed, known(home, true));
    if (has(problems)) return refused(previous, typed, problems);
    const id = await visits.enterPastVisit(home, values);
    return { to: `${pageOf(home, id)}/units/${values.unitIds[0]}` };
  });
}

/** The technician is here. */
export async function beginVisit(homeId: string, visitId: string): Promise<void> {
  follow(
    await inHome(homeId, async (home) => {
      const visit = visits.visitIn(home, asker, visitId);
      if (!visit) return listOf(home);
      await visits.beginVisit(home, visit);
      const [first] = visit.unitIds;
      return { to: first ? `${pageOf(home, visitId)}/units/${first}` : pageOf(home, visitId) };
    }),
  );
}

/** The machine after one on a visit; its end after the last. */
function after(home: OpenHome, visit: Visit, unitId: string): Lead {
  const next = visit.unitIds[visit.unitIds.indexOf(unitId) + 1];
  return { to: `${pageOf(home, visit.id)}/${next ? `units/${next}` : "end"}` };
}

/** What was measured and seen at a machine; one refused figure keeps all of them on the page. */
export async function saveChecks(
  homeId: string,
  { visitId, unitId }: { visitId: string; unitId: string },
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const visit = visits.visitIn(home, asker, visitId);
    const unit = home.snapshot.units.find(({ id }) => id === unitId);
    if (!visit || !unit || !visit.unitIds.includes(unitId)) return listOf(home);
    const { snapshot } = home;
    const { values, problems } = readChecks(typed, checksOf(snapshot, unit), {
      system: snapshot.home.unitSystem,
      instruments: snapshot.instruments,
      fogLimit: fogLimitOn(snapshot, visits.dayOfVisit(home, visit)),
      school: snapshot.home.capacitorStrategy ?? "label",
    });
    if (has(problems)) return refused(previous, typed, problems);
    const { newInstrument, readings } = values;
    const instrumentId =
      newInstrument && (await visits.addInstrument(home, { name: newInstrument }));
    await visits.noteChecks(
      home,
      visit,
      unitId,
      readings.map((reading) =>
        instrumentId && typeof reading.taken.value === "number"
          ? {
              ...reading,
              taken: {
                ...reading.taken,
                conditions: { ...reading.taken.conditions, instrumentId },
              },
            }
          : reading,
      ),
    );
    const isOut = readings.some(
      ({ taken }) => taken.kind === "co-ppm" && judgementOf(taken).verdict === "stop",
    );
    return isOut ? { to: `/emergency/${homeId}/co` } : after(home, visit, unitId);
  });
}

/** Keeps what is typed at a machine, right or wrong, until it is saved. */
export async function keepChecks(
  homeId: string,
  at: { visitId: string; unitId: string },
  form: FormData,
): Promise<void> {
  await inHome(homeId, async (home) => {
    if (visits.visitIn(home, asker, at.visitId)) await visits.keepChecks(home, at, fieldsOf(form));
    return null;
  });
}

/** What was found at a machine, or a finding told anew. */
export async function saveFinding(
  homeId: string,
  { visitId, unitId, findingId }: { visitId: string; unitId: string; findingId: string | null },
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const { snapshot } = home;
    const visit = visits.visitIn(home, asker, visitId);
    if (!visit) return listOf(home);
    const { values, problems, isExchanger, staysOff } = readFinding(typed, {
      unitId,
      parts: snapshot.parts.filter((part) => part.unitId === unitId),
      currency: snapshot.home.currency,
    });
    if (has(problems)) return refused(previous, typed, problems);
    const finding = snapshot.findings.find(({ id }) => id === findingId);
    if (finding) await visits.changeFinding(home, finding, values);
    else await visits.addFinding(home, visit, values, typed["picture"] ?? []);
    if (isExchanger) await visits.noteBadExchanger(home, visit, values, staysOff);
    return { to: finding ? pageOf(home, visitId) : `${pageOf(home, visitId)}/units/${unitId}` };
  });
}

/** That a finding was put right today, or that it was not. */
export async function settleFinding(
  homeId: string,
  findingId: string,
  isSettled: boolean,
): Promise<void> {
  follow(
    await inHome(homeId, async (home) => {
      const finding = home.snapshot.findings.find(({ id }) => id === findingId);
      if (finding) await visits.settleFinding(home, finding, isSettled ? home.today : null);
      return finding ? { to: pageOf(home, finding.visitId) } : listOf(home);
    }),
  );
}

/** Ends a visit: settles what it did, and plans the next. */
export async function endVisit(
  homeId: string,
  visitId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const visit = visits.visitIn(home, asker, visitId);
    if (!visit) return listOf(home);
    const day = visits.dayOfVisit(home, visit);
    const { values, problems, jobs } = readEnd(typed, home.snapshot.home.currency, day);
    if (has(problems)) return refused(previous, typed, problems);
    const done = jobs.flatMap((field) => {
      const job = jobFrom(field);
      return job && visit.unitIds.includes(job.unitId) ? [job] : [];
    });
    await visits.endVisit(home, visit, values, done);
    return { to: pageOf(home, visitId) };
  });
}

export async function keepEnd(homeId: string, visitId: string, form: FormData): Promise<void> {
  await inHome(homeId, async (home) => {
    if (visits.visitIn(home, asker, visitId)) await visits.keepEnd(home, visitId, fieldsOf(form));
    return null;
  });
}
