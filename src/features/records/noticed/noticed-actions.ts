"use server";

import { GONE, signOf, type SignWords } from "@/content/signs";
import { familyOf, verdictOfSign } from "@/core/noticed/sign";
import { judgeInput } from "@/core/readings/judge";
import { invalid, singles, type FormState } from "@/lib/forms";
import { formCommand, pressCommand } from "@/server/commands/form-command";
import { type OpenHome } from "@/server/commands/home-command";
import { record, type Entry } from "@/server/commands/records";
import { noticedForm, seenToForm } from "./noticed-form";

/** A sign as an entry: a reading where it is one too. */
function write(home: OpenHome, { id, reading }: SignWords, at: Omit<Entry, "kind" | "sign">) {
  return reading
    ? record(home, { ...at, kind: "reading", sign: id, reading: judgeInput.parse(reading) })
    : record(home, { ...at, kind: "noticed", sign: id });
}

/** The filter that a light is of, where its machine has one such filter alone. */
function litSlot({ snapshot }: OpenHome, sign: string, unitId: string | undefined) {
  const lit = snapshot.slots.filter((slot) => slot.unitId === unitId && slot.indicator);
  return sign === "light:on" && lit.length === 1 ? { partId: lit[0]!.id } : {};
}

const pageOf = (homeId: string, unitId: string | undefined) =>
  `/homes/${homeId}${unitId ? `/units/${unitId}` : ""}`;

/** What somebody of the household noticed. */
export async function noteNoticed(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const units = home.snapshot.units.map(({ id }) => id);
    const rooms = home.snapshot.rooms.map(({ id }) => id);
    const parsed = noticedForm(units, rooms, home.today).safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const { sign, ...at } = parsed.data;
    const noted = await write(home, sign, { ...at, ...litSlot(home, sign.id, at.unitId) });
    // Gas is no matter of a page about a machine: everybody out.
    if (sign.id === "smell:gas") return { to: `/emergency/${homeId}/gas` };
    return { to: pageOf(homeId, at.unitId), noted };
  });
}

/** That what was noticed has gone again, or was seen to: the record keeps both. */
export async function noteGone(homeId: string, eventId: string, commandId: string): Promise<void> {
  await pressCommand(homeId, { id: commandId, asks: ["gone", eventId] }, async (home) => {
    const event = home.snapshot.history.noticed.find(({ id }) => id === eventId);
    const gone = event && signOf(event.sign) ? GONE[familyOf(event.sign)] : undefined;
    if (!event || !gone) return { to: pageOf(homeId, undefined) };
    const sign = signOf(event.sign);
    // What means stop is not let go by a press.
    if (sign && verdictOfSign(sign) === "stop") return { to: `/homes/${homeId}/stops/${eventId}` };
    const { unitId, partId } = event;
    const place = { ...(unitId ? { unitId } : {}), ...(partId ? { partId } : {}) };
    const noted = await write(home, gone, { ...place, date: home.today });
    return { to: pageOf(homeId, unitId), noted };
  });
}

/** Who saw to something that meant stop, and what was found: it is let go, and the record keeps both. */
export async function noteSeenTo(
  homeId: string,
  eventId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, fields) => {
    const event = home.snapshot.history.counted.find(({ id }) => id === eventId);
    if (!event) return { to: pageOf(homeId, undefined) };
    const parsed = seenToForm(home.today, event.date).safeParse(singles(fields));
    if (!parsed.success) return invalid(previous, fields, parsed.error);
    const { by, found, date } = parsed.data;
    const { unitId, partId } = event;
    const at = {
      ...(unitId ? { unitId } : {}),
      ...(partId ? { partId } : {}),
      ...{ date, seenBy: by, words: `Seen to by ${by}: ${found}` },
    };
    const gone = event.sign && signOf(event.sign) ? GONE[familyOf(event.sign)] : undefined;
    const noted = gone ? await write(home, gone, at) : await record(home, { ...at, kind: "note" });
    return { to: pageOf(homeId, unitId), noted };
  });
}
