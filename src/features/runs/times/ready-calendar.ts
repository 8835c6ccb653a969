import { readRun, findHome, listUnits } from "@/server/snapshots/beside";
import { TZDate } from "@date-fns/tz";
import ical, { ICalAlarmType } from "ical-generator";
import { publicAddress } from "@/lib/addresses";
import { now } from "@/lib/clock";
import { readEnv } from "@/lib/env";
import { dryingOf } from "./run-times";

/** How long putting it back is set down for in a calendar, minutes. */
const ENTRY_MINUTES = 30;

/** GET /api/v1/runs/ID/ready.ics: a calendar entry that calls back when what dries is dry. */
export async function getReadyCalendar(runId: string, request: Request): Promise<Response> {
  const found = await readRun(runId);
  const drying = found && dryingOf(found.state, found.job.place);
  if (!found || !drying) return new Response("Nothing is drying in this run.", { status: 404 });
  const home = await findHome(found.run.homeId);
  const unit = (await listUnits(found.run.homeId)).find(({ id }) => id === found.run.unitId);
  // Written by the clock on its own wall, or else by the server’s.
  const start = new TZDate(drying.readyAt, home?.timeZone);
  const address = publicAddress(request.headers.get("host"), readEnv(process.env));
  const page = address && `${address}/runs/${runId}`;
  const calendar = ical({ name: "Amber Lintel" });
  const entry = calendar.createEvent({
    id: `${runId}-dry`,
    start,
    end: new TZDate(start.getTime() + ENTRY_MINUTES * 60_000, home?.timeZone),
    stamp: now(),
    timezone: home?.timeZone ?? null,
    summary: `${unit?.name ?? home?.name}: dry, put it back`,
    description: page ? `${drying.words}. Carry on at ${page}` : `${drying.words}.`,
    ...(page ? { url: page } : {}),
  });
  entry.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: entry.summary() });
  return new Response(calendar.toString(), {
    headers: {
      "content-type": "text/calendar; charset=utf-8",
      "content-disposition": 'attachment; filename="put-it-back.ics"',
    },
  });
}
