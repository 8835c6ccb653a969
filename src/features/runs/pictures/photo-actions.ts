"use server";

import { z } from "zod";
import { appStore } from "@/db/app-store";
import { markPhotoDeleted } from "@/db/repositories/photos";
import { now } from "@/lib/clock";

const named = z.object({ homeId: z.string(), id: z.string() });

async function mark(raw: z.output<typeof named>, at: string | null): Promise<void> {
  const { homeId, id } = named.parse(raw);
  const store = await appStore();
  await store.write((tx) => markPhotoDeleted(tx, homeId, id, at));
}

/** Takes a picture out of sight; it can be brought back for thirty days. */
export async function removePhoto(homeId: string, id: string): Promise<void> {
  await mark({ homeId, id }, now().toISOString());
}

export async function restorePhoto(homeId: string, id: string): Promise<void> {
  await mark({ homeId, id }, null);
}
