"use server";

import { cookies } from "next/headers";
import { refresh } from "next/cache";
import { KEYS_COOKIE, keysSchema, THEME_COOKIE, themeSchema } from "@/lib/theme";

const YEAR_SECONDS = 31_536_000;

async function keep(name: string, value: string): Promise<void> {
  (await cookies()).set(name, value, { maxAge: YEAR_SECONDS, sameSite: "lax", httpOnly: true });
  refresh();
}

export async function chooseTheme(choice: string): Promise<void> {
  await keep(THEME_COOKIE, themeSchema.parse(choice));
}

export async function chooseKeys(choice: string): Promise<void> {
  await keep(KEYS_COOKIE, keysSchema.parse(choice));
}
