"use server";

import { inHome } from "@/server/commands/home-command";
import { readNotice } from "@/server/commands/homes";
import { NOTICE_KINDS } from "./notices";

/** Puts away what a home is told once; sent twice it does nothing more. */
export async function putNoticeAway(homeId: string, kind: string): Promise<void> {
  await inHome(homeId, async (home) => {
    if (NOTICE_KINDS.some((each) => each === kind)) await readNotice(home, kind);
    return null;
  });
}
