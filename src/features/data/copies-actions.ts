"use server";

import { refresh } from "next/cache";
import { z } from "zod";
import { COPY_KINDS, putBackCopy } from "@/server/commands/copies";

const copySchema = z.object({
  kind: z.enum(COPY_KINDS),
  name: z.string().max(200),
});

/** Puts a copy in the place of everything; a sentence where it cannot be. */
export async function putBack(copy: unknown): Promise<string | null> {
  const { kind, name } = copySchema.parse(copy);
  const problem = await putBackCopy(kind, name);
  refresh();
  return problem;
}
