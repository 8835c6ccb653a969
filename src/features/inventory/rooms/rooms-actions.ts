"use server";

import { refresh } from "next/cache";
import * as rooms from "@/server/commands/rooms";
import { formCommand } from "@/server/commands/form-command";
import { inHome } from "@/server/commands/home-command";
import { invalid, overtaken, singles, type FormState } from "@/lib/forms";
import { levelForm, registerForm, roomForm } from "./rooms-form";
import { fieldsOfRoom } from "./rooms-queries";

export async function saveRoom(
  homeId: string,
  roomId: string | null,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const before = home.snapshot.rooms.find(({ id }) => id === roomId);
    const theirs = before && overtaken(previous, form, fieldsOfRoom(before));
    if (theirs) return theirs;
    const parsed = roomForm.safeParse(singles(typed));
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    const { name, levelId, sleeps } = parsed.data;
    await rooms.saveRoom(home, roomId, { name, levelId, sleeps: Boolean(sleeps) });
    return { to: `/homes/${homeId}/rooms` };
  });
}

export async function addLevel(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const parsed = levelForm.safeParse(singles(typed));
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    await rooms.addLevel(home, parsed.data);
    return { to: `/homes/${homeId}/rooms` };
  });
}

export async function addRegister(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const parsed = registerForm.safeParse(singles(typed));
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    const { roomId, role, place } = parsed.data;
    const register = { roomId, role, isShut: false, ...(place ? { place } : {}) };
    const isThere = await rooms.addRegister(home, register);
    return { to: `/homes/${homeId}/rooms${isThere ? `?room=${roomId}` : ""}` };
  });
}

/** Opens or shuts a register: what its lever shows now. */
export async function turnRegister(
  homeId: string,
  registerId: string,
  isShut: boolean,
): Promise<void> {
  await inHome(homeId, (home) => rooms.turnRegister(home, registerId, isShut));
  refresh();
}
