import { openNow } from "./loose-ends-queries";

/** GET /api/v1/homes/ID/left-open: what is open now, for a page that was kept in the browser. */
export async function getLeftOpen(homeId: string): Promise<Response> {
  return Response.json(await openNow(homeId), { headers: { "cache-control": "no-store" } });
}
