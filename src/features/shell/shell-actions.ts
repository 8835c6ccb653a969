"use server";

import { cookies } from "next/headers";
import { refresh } from "next/cache";
import { THEME_COOKIE, themeSchema } from "@/lib/theme";

const YEAR_SECONDS = 31_536_000;

export async function chooseTheme(choice: string): Promise<void> {
  (await cookies()).set(THEME_COOKIE, themeSchema.parse(choice), {
    maxAge: YEAR_SECONDS,
    sameSite: "lax",
    httpOnly: true,
  });
  refresh();
}
