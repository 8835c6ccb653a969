import { cache } from "react";
import type { HomeBook } from "@/core/register/register";
import { appStore } from "./app-store";
import { readHomeBook } from "./repositories/home-book";

/** A home's book, read once for everything that shows it in one request. */
export const homeBook = cache(async (homeId: string): Promise<HomeBook | null> => {
  const { db } = await appStore();
  return readHomeBook(db, homeId);
});
