import "server-only";
import { todayIn } from "@/lib/clock";
import { fieldsOf, singles, type Typed } from "@/lib/forms";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";
import { effectsOf } from "./driver-effects";
import type { Effect } from "./driver-effects-schema";
import { driverForm, isPlaceKnown } from "./household-form";

/** What saving the form as it stands would change, in days; null as long as it can't be read. */
export async function previewDriver(
  homeId: string,
  driverId: string | null,
  form: Typed,
): Promise<Effect[] | null> {
  const parsed = driverForm.safeParse(singles(fieldsOf(form)));
  const snapshot = await homeSnapshot(homeId);
  if (!parsed.success || !snapshot || !isPlaceKnown(parsed.data, snapshot)) return null;
  const driver = { ...parsed.data, id: driverId ?? "the new one" };
  return effectsOf(snapshot, driver, todayIn(snapshot.home.timeZone));
}

/** The answer to a form that asks what it would do. */
export async function getDriverPreview(homeId: string, request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  return Response.json(await previewDriver(homeId, searchParams.get("driver"), searchParams));
}
