"use server";

import { randomUUID } from "node:crypto";
import { refresh } from "next/cache";
import { redirect } from "next/navigation";
import type { HomeBook } from "@/core/inventory/inventory";
import { appStore } from "@/db/app-store";
import { homeBook } from "@/db/home-book";
import { insertLevel } from "@/db/repositories/homes";
import { insertRegister, insertRoom, setRegisterShut, updateRoom } from "@/db/repositories/rooms";
import { now } from "@/lib/clock";
import { fieldsOf, invalid, overtaken, singles, type FormState } from "@/lib/forms";
import { leadOn } from "@/lib/lead-on";
import { fieldsOfRoom } from "./rooms-queries";
import { levelForm, registerForm, roomForm } from "./rooms-form";

async function bookOf(homeId: string): Promise<HomeBook> {
  const book = await homeBook(homeId);
  if (!book) redirect("/");
  return book;
}

export async function saveRoom(
  homeId: string,
  roomId: string | null,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const typed = fieldsOf(form);
  const book = await bookOf(homeId);
  const before = book.rooms.find(({ id }) => id === roomId);
  const theirs = before && overtaken(previous, form, fieldsOfRoom(before));
  if (theirs) return theirs;
  const parsed = roomForm.safeParse(singles(typed));
  if (!parsed.success) return invalid(previous, typed, parsed.error);
  const { name, levelId, sleeps } = parsed.data;
  if (!book.levels.some((level) => level.id === levelId)) redirect(`/homes/${homeId}/rooms`);
  const room = { id: roomId ?? randomUUID(), levelId, name, sleeps: Boolean(sleeps) };
  const { write } = await appStore();
  await write((tx) =>
    roomId ? updateRoom(tx, homeId, room) : insertRoom(tx, homeId, room, now().toISOString()),
  );
  leadOn(`/homes/${homeId}/rooms`);
}

export async function addLevel(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const typed = fieldsOf(form);
  const parsed = levelForm.safeParse(singles(typed));
  if (!parsed.success) return invalid(previous, typed, parsed.error);
  await bookOf(homeId);
  const { write } = await appStore();
  await write((tx) => insertLevel(tx, homeId, { id: randomUUID(), ...parsed.data }));
  leadOn(`/homes/${homeId}/rooms`);
}

export async function addRegister(
  homeId: string,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  const typed = fieldsOf(form);
  const parsed = registerForm.safeParse(singles(typed));
  if (!parsed.success) return invalid(previous, typed, parsed.error);
  const book = await bookOf(homeId);
  const { roomId, role, place } = parsed.data;
  if (!book.rooms.some((room) => room.id === roomId)) redirect(`/homes/${homeId}/rooms`);
  const register = {
    id: randomUUID(),
    roomId,
    role,
    isShut: false,
    ...(place ? { place } : {}),
  };
  const { write } = await appStore();
  await write((tx) => insertRegister(tx, register, now().toISOString()));
  leadOn(`/homes/${homeId}/rooms?room=${roomId}`);
}

/** Opens or shuts a register: what its lever shows now. */
export async function turnRegister(
  homeId: string,
  registerId: string,
  isShut: boolean,
): Promise<void> {
  const book = await bookOf(homeId);
  if (!book.registers.some((each) => each.id === registerId)) return;
  const { write } = await appStore();
  await write((tx) => setRegisterShut(tx, registerId, isShut));
  refresh();
}
