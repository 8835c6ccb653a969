import "server-only";
import { stringify } from "csv-stringify/sync";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";

const COLUMNS = [
  "date",
  "machine",
  "part",
  "reading",
  "value",
  "unit",
  "typed",
  "typed unit",
  "seen",
  "rated",
  "verdict",
  "instrument",
  "outdoors C",
  "running",
  "minutes running",
  "visit",
  "note",
] as const;

/**
 * Every reading that counts, a line each, in the unit it is judged in and as it was typed. What a table
 * program might take for a formula is written so that it stays text.
 */
export function readingsCsv({ units, retired, parts, slots, instruments, history }: HomeSnapshot) {
  const named = <T extends { id: string; name: string }>(list: readonly T[], id?: string) =>
    list.find((each) => each.id === id)?.name;
  const rows = history.readings.map(({ event, taken, judgement }) => {
    const { value, unit, typed, rated, kind, conditions = {} } = taken;
    return [
      event.date,
      named([...units, ...retired], event.unitId),
      named([...slots, ...parts], event.partId),
      kind,
      typeof value === "number" ? value : undefined,
      unit,
      typed?.value,
      typed?.unit,
      typeof value === "string" ? value : undefined,
      typeof rated === "object" ? `${rated.min} to ${rated.max}` : rated,
      judgement.verdict,
      named(instruments, conditions.instrumentId),
      conditions.outdoorC,
      conditions.running,
      conditions.minutesRunning,
      event.visitId,
      event.words,
    ];
  });
  return stringify(rows, { header: true, columns: [...COLUMNS], escape_formulas: true });
}

/** GET /api/v1/homes/ID/readings: every reading as a table, to take away. */
export async function getReadings(homeId: string): Promise<Response> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot)
    return Response.json(
      { error: { code: "unknown-home", message: "There is no such home.", path: [] } },
      { status: 404 },
    );
  return new Response(readingsCsv(snapshot), {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": 'attachment; filename="readings.csv"',
      "cache-control": "private, no-store",
      "x-content-type-options": "nosniff",
    },
  });
}
