"use server";

import {
  END_STOP,
  firstWalk,
  MAINS_STOP,
  PAST_STOP,
  walkOn,
  type WalkPlace,
} from "@/core/inventory/first-walk";
import { fieldsOf, invalid, refused, singles, type FormState } from "@/lib/forms";
import { formCommand, follow } from "@/server/commands/form-command";
import { inHome, reread, type Lead, type OpenHome } from "@/server/commands/home-command";
import * as walk from "@/server/commands/walk";
import { saveCalls } from "@/server/commands/contacts";
import { callsFrom, mainsFrom, mainsShape } from "../homes/home-form";
import { readPast, readPlaceSeen } from "./walk-form";
import { walkHref } from "./walk-queries";

/** Where the walk goes on once a stop is saved. */
async function onFrom(home: OpenHome, stop: string): Promise<Lead> {
  const now = await reread(home);
  const seen = await walk.stopsSeen(now);
  const on = walkOn(firstWalk(now.snapshot, seen), stop);
  return { to: on ? walkHref(home.homeId, on) : `/homes/${home.homeId}/walk/${END_STOP}` };
}

const placeIn = ({ snapshot }: OpenHome, stop: string): WalkPlace | undefined =>
  firstWalk(snapshot, new Set()).places.find(({ key }) => key === stop);

const toWalk = ({ homeId }: OpenHome): Lead => ({ to: `/homes/${homeId}/walk` });

/** A room or level was seen: enters what was found there, and goes on. */
export async function seePlace(
  homeId: string,
  stop: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const place = placeIn(home, stop);
    if (!place) return toWalk(home);
    const { values, problems } = readPlaceSeen(typed, place, {
      ...home.snapshot,
      today: home.today,
    });
    if (Object.keys(problems).length > 0) return refused(previous, typed, problems);
    await walk.seePlace(home, place, values);
    return onFrom(home, stop);
  });
}

export async function seeMains(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const parsed = mainsShape.safeParse(singles(typed));
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    await walk.seeMains(home, MAINS_STOP, mainsFrom(parsed.data));
    await saveCalls(home, callsFrom(parsed.data));
    return onFrom(home, MAINS_STOP);
  });
}

export async function seePast(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const { values, problems } = readPast(typed, home.today);
    if (Object.keys(problems).length > 0) return refused(previous, typed, problems);
    await walk.seePast(home, PAST_STOP, values);
    return onFrom(home, PAST_STOP);
  });
}

/** Keeps what is typed at a stop, right or wrong, until it is saved. */
export async function keepStop(homeId: string, stop: string, form: FormData): Promise<void> {
  await inHome(homeId, async (home) => {
    const isKnown = [MAINS_STOP, PAST_STOP].includes(stop) || placeIn(home, stop) !== undefined;
    if (isKnown) await walk.keepStop(home, stop, fieldsOf(form));
    return null;
  });
}

/** Ends the walk, or takes it up again. */
export async function endWalk(homeId: string): Promise<void> {
  follow(
    await inHome(homeId, async (home) => {
      await walk.endWalk(home);
      return { to: `/homes/${homeId}` };
    }),
  );
}

export async function resumeWalk(homeId: string): Promise<void> {
  follow(
    await inHome(homeId, async (home) => {
      await walk.resumeWalk(home);
      return toWalk(home);
    }),
  );
}
