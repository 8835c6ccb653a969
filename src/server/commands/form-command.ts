import "server-only";
import { appStore } from "@/db/app-store";
import type { Tx } from "@/db/client";
import { now } from "@/lib/clock";
import { COMMAND_ID, emptyForm, fieldsOf, type FormState } from "@/lib/forms";
import { leadOn, leadOnNoted } from "@/lib/lead-on";
import { RedirectType } from "next/navigation";
import type { Unit } from "@/core/inventory/inventory";
import {
  IdTaken,
  inHome,
  once,
  unitIn,
  type Lead,
  type Named,
  type OpenHome,
} from "./home-command";

type Fields = Record<string, string[]>;
/** A form that is shown again though something of it was written. */
type Kept = { shows: FormState };
type Answer = FormState | Kept | Lead;

/** The ids we make are shorter; any other is none of ours. */
const LONGEST_ID = 64;
const SAVED_ALREADY =
  "This was saved already, with other values. If you mean one more, press it again; to change the saved one, open its entry.";

/** Shows a form again and keeps what was written all the same. */
export const keeping = (shows: FormState): Kept => ({ shows });

/** Thrown inside a write to leave it with a form that has to be shown again: nothing is written. */
class ShownAgain extends Error {
  constructor(readonly state: FormState) {
    super("the form is shown again");
  }
}

async function doOnce(
  tx: Tx,
  form: FormData,
  fields: Fields,
  at: Date,
  work: () => Promise<Answer>,
): Promise<Lead | Kept> {
  const written = async (): Promise<Lead | Kept> => {
    const answer = await work();
    if ("attempt" in answer) throw new ShownAgain(answer);
    return answer;
  };
  const id = form.get(COMMAND_ID);
  return typeof id === "string" && id !== "" && id.length <= LONGEST_ID
    ? once(tx, { id, asks: fields }, at, written)
    : written();
}

/** Shows a form again, or leads to where its command does. */
async function answered(fields: Fields, command: Promise<Lead | Kept | null>): Promise<FormState> {
  let answer: Lead | Kept | null;
  try {
    answer = await command;
  } catch (error) {
    if (error instanceof ShownAgain) return error.state;
    // Going Back shows a form again that was saved: what it says now is something else.
    if (error instanceof IdTaken) return { ...emptyForm(fields), errors: { form: SAVED_ALREADY } };
    throw error;
  }
  return answer && "shows" in answer ? answer.shows : follow(answer);
}

/** Leads on to where a command does; to the start where there was no such home. */
export function follow(lead: Lead | null): never {
  if (!lead) leadOn("/");
  if (lead.noted) leadOnNoted(lead.to, lead.noted);
  leadOn(lead.to, lead.replaces ? RedirectType.replace : RedirectType.push);
}

/**
 * A form that changes a home. All it reads it reads inside its write: what it checks still holds when
 * it writes. Sent twice it acts once.
 */
export const formCommand = (
  homeId: string,
  form: FormData,
  work: (home: OpenHome, fields: Fields) => Promise<Answer>,
): Promise<FormState> => {
  const fields = fieldsOf(form);
  return answered(
    fields,
    inHome(homeId, (home) => doOnce(home.tx, form, fields, home.now, () => work(home, fields))),
  );
};

/** Where one is led whose unit is not, or no longer, of this home. */
export const houseOf = (homeId: string): Lead => ({ to: `/homes/${homeId}/house` });

/**
 * A press that changes a home, sent under a name so that two make one. Under the name of another press that was
 * done nothing is written, and one is led to the home as it is.
 */
export async function pressCommand(
  homeId: string,
  named: Named,
  work: (home: OpenHome) => Promise<Lead>,
): Promise<never> {
  try {
    return follow(
      await inHome(homeId, (home) => once<Lead>(home.tx, named, home.now, () => work(home))),
    );
  } catch (error) {
    if (error instanceof IdTaken) leadOn(`/homes/${homeId}`);
    throw error;
  }
}

/** The same for a form about a unit; it leads to the house where the home has no such unit. */
export const unitCommand = (
  homeId: string,
  unitId: string,
  form: FormData,
  work: (home: OpenHome, unit: Unit, fields: Fields) => Promise<Answer>,
): Promise<FormState> =>
  formCommand(homeId, form, async (home, fields) => {
    const unit = unitIn(home, unitId);
    return unit ? work(home, unit, fields) : houseOf(homeId);
  });

/** The same for a form that makes a home. */
export async function newHomeCommand(
  form: FormData,
  work: (tx: Tx, fields: Fields, at: Date) => Promise<Answer>,
): Promise<FormState> {
  const fields = fieldsOf(form);
  const store = await appStore();
  const at = now();
  return answered(
    fields,
    store.write((tx) => doOnce(tx, form, fields, at, () => work(tx, fields, at))),
  );
}
