import { z } from "zod";
import { runEventSchema } from "@/core/procedures/run-event";
import { appStore } from "@/db/app-store";
import { now } from "@/lib/clock";
import { readRun } from "./run-replay";
import { recordRunEvents } from "./run-record";

const body = z.strictObject({ events: z.array(runEventSchema).min(1).max(200) });

const refuse = (status: number, code: string, message: string) =>
  Response.json({ error: { code, message, path: [] } }, { status });

/** POST /api/v1/runs/ID/events: what a device did; answers with all that is known of the run. */
export async function postRunEvents(runId: string, request: Request): Promise<Response> {
  const parsed = body.safeParse(await request.json().catch(() => null));
  if (!parsed.success)
    return refuse(
      400,
      "invalid-input",
      parsed.error.issues[0]?.message ?? "The events are not readable.",
    );
  const recorded = await recordRunEvents(await appStore(), runId, parsed.data.events, now());
  switch (recorded.kind) {
    case "unknown-run":
      return refuse(404, "unknown-run", "There is no such run.");
    case "clock-off":
      return refuse(
        400,
        "clock-off",
        "This device’s clock is more than a day ahead. Set it, then go on.",
      );
    case "recorded":
      return Response.json({ events: recorded.events, refused: recorded.refused });
  }
}

/** GET of the same: for a second device, and after a reload. */
export async function getRunEvents(runId: string): Promise<Response> {
  const { db } = await appStore();
  const found = await readRun(db, runId);
  return found
    ? Response.json({ events: found.events, refused: [] })
    : refuse(404, "unknown-run", "There is no such run.");
}
