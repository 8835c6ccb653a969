import { z } from "zod";

const refusalSchema = z.object({ error: z.object({ message: z.string() }) });

/**
 * Sends a picture.
 *
 * @returns null once it is kept, else why it was not, in the server's words or ours
 */
export async function sendPicture(to: string, form: FormData): Promise<string | null> {
  const response = await fetch(to, { method: "POST", body: form });
  if (response.ok) return null;
  const read = refusalSchema.safeParse(await response.json());
  return read.success ? read.data.error.message : "That could not be kept.";
}
