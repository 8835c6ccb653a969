import { z } from "zod";
import { NOT_TAKEN, type NotTaken } from "@/core/runs/run-state";
import { runEventSchema, type RunEvent } from "@/core/runs/run-event";

const answerSchema = z.object({
  after: z.string().nullable(),
  events: z.array(runEventSchema),
  refused: z.array(z.object({ id: z.string(), why: z.enum(NOT_TAKEN) })),
  now: z.iso.datetime(),
});
const errorSchema = z.object({ error: z.object({ message: z.string() }) });

export type Taken = {
  kind: "taken";
  /** The event these come after, of those the device knew; null where they are all there are. */
  after: string | null;
  events: readonly RunEvent[];
  refused: { id: string; why: NotTaken }[];
  now: string;
};
/** What has to wait until this device's clock is set; all else of a batch was answered for good. */
export const earlyIn = ({ refused }: Taken): Set<string> =>
  new Set(refused.flatMap(({ id, why }) => (why === "clock-off" ? [id] : [])));

export type Answer =
  | Taken
  /** The server understood nothing of it: it would not the next time either. */
  | { kind: "refused"; words: string }
  /** There is no such run: removed, or of another database. */
  | { kind: "gone" }
  /** No answer, or one of trouble: it is sent again. */
  | { kind: "unreachable" };

/** `after` is the last event the device knows: only what came later is answered. */
export type Send = (runId: string, events: readonly RunEvent[], after?: string) => Promise<Answer>;
export type Ask = (runId: string, after?: string) => Promise<Taken | null>;

const pathOf = (runId: string) => `/api/v1/runs/${runId}/events`;

async function read(response: Response): Promise<Answer> {
  if (response.status === 404) return { kind: "gone" };
  if (response.status >= 500 || response.status === 429) return { kind: "unreachable" };
  const body: unknown = await response.json().catch(() => null);
  const answer = answerSchema.safeParse(body);
  if (answer.success) return { kind: "taken", ...answer.data };
  // An answer of a sign-in page or a proxy is none of the server's.
  if (response.ok) return { kind: "unreachable" };
  const error = errorSchema.safeParse(body);
  const words = error.success ? error.data.error.message : "That could not be read.";
  return { kind: "refused", words };
}

/** Hands events to the server; whatever the network does, an answer comes back. */
export const sendEvents: Send = async (runId, events, after) => {
  try {
    return await read(
      await fetch(pathOf(runId), {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify({ events, after }),
      }),
    );
  } catch {
    return { kind: "unreachable" };
  }
};

/** What the server knows of a run; null where it can't be had. */
export const askEvents: Ask = async (runId, after) => {
  try {
    const query = after === undefined ? "" : `?${new URLSearchParams({ after }).toString()}`;
    const answer = await read(await fetch(`${pathOf(runId)}${query}`));
    return answer.kind === "taken" ? answer : null;
  } catch {
    return null;
  }
};
