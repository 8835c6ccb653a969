"use server";

import { randomUUID } from "node:crypto";
import { redirect } from "next/navigation";
import { fogLimitOn } from "@/core/readings/fog-limit";
import { judgementOf } from "@/core/history/readings-taken";
import { appStore } from "@/db/app-store";
import { homeBook } from "@/db/home-book";
import { appendEvent } from "@/db/repositories/history";
import { now, todayIn } from "@/lib/clock";
import { DAY_WORDS, fieldsOf, isDay, readPastDay, refused, type FormState } from "@/lib/forms";
import { leadOnNoted } from "@/lib/lead-on";
import { readingFieldsOf, readReading } from "./reading-form";

/** What was measured or seen at a unit or part, judged before it is kept. */
export async function noteReading(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const book = await homeBook(homeId);
  if (!book) redirect("/");
  const one = (name: string) => (fields[name]?.[0] ?? "").trim();
  const part = [...book.slots, ...book.parts].find((each) => each.id === one("place"));
  const unit = book.units.find((each) => each.id === (part?.unitId ?? one("place")));
  const today = todayIn(book.home.timeZone);
  const day = readPastDay(one("date"), today);
  const result = readReading(
    readingFieldsOf(form),
    book.home.unitSystem,
    fogLimitOn(book, isDay(day) ? day : today),
  );
  if (!unit || !isDay(day) || !result.ok)
    return refused(previous, fields, {
      ...(unit ? {} : { place: "Choose where it was read." }),
      ...(result.ok ? {} : result.errors),
      ...(isDay(day) ? {} : { date: DAY_WORDS[day] }),
    });
  const words = one("words");
  const store = await appStore();
  const id = randomUUID();
  await store.write((tx) =>
    appendEvent(tx, homeId, {
      id,
      kind: "reading",
      unitId: unit.id,
      ...(part ? { partId: part.id } : {}),
      date: day,
      recordedAt: now().toISOString(),
      ...(words ? { words } : {}),
      reading: result.taken,
    }),
  );
  // Carbon monoxide is no matter of a page about a part: everybody out.
  const isStop = judgementOf(result.taken).verdict === "stop";
  if (result.taken.kind === "co-ppm" && isStop) redirect(`/homes/${homeId}/everybody-out`);
  leadOnNoted(`/homes/${homeId}/${part ? `parts/${part.id}` : `units/${unit.id}`}`, id);
}
