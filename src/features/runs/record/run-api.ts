import { z } from "zod";
import { runEventSchema, type RunEvent } from "@/core/runs/run-event";
import { readJsonBody, refuseBody } from "@/lib/body";
import { now } from "@/lib/clock";
import { readRun } from "@/server/snapshots/beside";
import { recordRunEvents, type Refused } from "@/server/commands/run-record";

/** So many events at most come at once; a device that has more sends them in several batches. */
const MOST_AT_ONCE = 2000;
const body = z.strictObject({
  events: z.array(z.unknown()).min(1).max(MOST_AT_ONCE),
  after: z.string().max(64).optional(),
});
const named = z.object({ id: z.string().max(64) });

const refuse = (status: number, code: string, message: string) =>
  Response.json({ error: { code, message, path: [] } }, { status });

/**
 * POST /api/v1/runs/ID/events: what a device did; answers with all that is known of the run, or with what
 * came `after` the last event the device knows. Each event is judged alone: one that cannot be read is named,
 * and holds no other up.
 */
export async function postRunEvents(runId: string, request: Request): Promise<Response> {
  const sent = await readJsonBody(request);
  if (!sent.ok) return refuseBody(sent.why);
  const parsed = body.safeParse(sent.value);
  if (!parsed.success)
    return refuse(
      400,
      "invalid-input",
      parsed.error.issues[0]?.message ?? "The events are not readable.",
    );
  const at = now();
  const unreadable: Refused[] = [];
  const events = parsed.data.events.flatMap((each) => {
    const event = runEventSchema.safeParse(each);
    if (event.success) return [event.data];
    const { data } = named.safeParse(each);
    unreadable.push({ id: data?.id ?? "", why: "unreadable" });
    return [];
  });
  const recorded = await recordRunEvents(runId, events, at);
  if (recorded.kind === "unknown-run") return refuse(404, "unknown-run", "There is no such run.");
  return Response.json({
    ...eventsAfter(recorded.events, parsed.data.after),
    refused: [...unreadable, ...recorded.refused],
    now: at.toISOString(),
  });
}

/** GET of the same, ?after=ID too: for a second device, and after a reload. */
export async function getRunEvents(runId: string, request: Request): Promise<Response> {
  const found = await readRun(runId);
  if (!found) return refuse(404, "unknown-run", "There is no such run.");
  const after = new URL(request.url).searchParams.get("after") ?? undefined;
  return Response.json({
    ...eventsAfter(found.events, after),
    refused: [],
    now: now().toISOString(),
  });
}

/** What came after an event; everything where it is not there, as after a copy was put back. */
function eventsAfter(events: readonly RunEvent[], after: string | undefined) {
  const place = after === undefined ? -1 : events.findLastIndex(({ id }) => id === after);
  return place < 0
    ? { after: null, events }
    : { after: after ?? null, events: events.slice(place + 1) };
}
