"use server";

import { judgementOf } from "@/core/history/readings-taken";
import { fogLimitOn } from "@/core/readings/fog-limit";
import { DAY_WORDS, isDay, readPastDay, refused, type FormState } from "@/lib/forms";
import { formCommand } from "@/server/commands/form-command";
import { record } from "@/server/commands/records";
import { addInstrument } from "@/server/commands/visits";
import { readConditions } from "@/lib/conditions-form";
import { readingFieldsOf, readReading } from "@/lib/reading-form";

/** What was measured or seen at a unit or part, judged before it is kept. */
export async function noteReading(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const { snapshot, today } = home;
    const one = (name: string) => (fields[name]?.[0] ?? "").trim();
    const part = [...snapshot.slots, ...snapshot.parts].find((each) => each.id === one("place"));
    const unit = snapshot.units.find((each) => each.id === (part?.unitId ?? one("place")));
    const day = readPastDay(one("date"), today);
    const result = readReading(
      readingFieldsOf(form),
      snapshot.home.unitSystem,
      fogLimitOn(snapshot, isDay(day) ? day : today),
    );
    const under = readConditions(fields, {
      system: snapshot.home.unitSystem,
      instruments: snapshot.instruments,
    });
    if (!unit || !isDay(day) || !result.ok || Object.keys(under.problems).length > 0)
      return refused(previous, fields, {
        ...under.problems,
        ...(unit ? {} : { place: "Choose where it was read." }),
        ...(result.ok ? {} : result.errors),
        ...(isDay(day) ? {} : { date: DAY_WORDS[day] }),
      });
    const words = one("words");
    const instrumentId = under.newInstrument
      ? await addInstrument(home, { name: under.newInstrument })
      : under.conditions.instrumentId;
    const conditions = { ...under.conditions, ...(instrumentId ? { instrumentId } : {}) };
    const isMeasured = typeof result.taken.value === "number" && Object.keys(conditions).length > 0;
    const id = await record(home, {
      kind: "reading",
      unitId: unit.id,
      ...(part ? { partId: part.id } : {}),
      date: day,
      ...(words ? { words } : {}),
      reading: { ...result.taken, ...(isMeasured ? { conditions } : {}) },
    });
    // Carbon monoxide is no matter of a page about a part: everybody out.
    const isStop = judgementOf(result.taken).verdict === "stop";
    if (result.taken.kind === "co-ppm" && isStop) return { to: `/emergency/${homeId}/co` };
    const page = part ? `parts/${part.id}` : `units/${unit.id}`;
    return { to: `/homes/${homeId}/${page}`, noted: id };
  });
}
