import "server-only";
import { homeYear } from "@/server/snapshots/home-year";
import { homeSnapshot, homeStatus } from "@/server/snapshots/snapshot-cache";
import { todayIn } from "@/lib/clock";

/** What a plan of a home is made of, for whoever computes with it. */
export async function getPlanInput(homeId: string): Promise<Response> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return Response.json({ error: "There is no such home." }, { status: 404 });
  const { model } = homeYear(homeStatus(snapshot, todayIn(snapshot.home.timeZone)));
  return Response.json(model.input, { headers: { "Cache-Control": "no-store" } });
}
