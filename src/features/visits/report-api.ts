import "server-only";
import { visitReport } from "./report";

/** GET /api/v1/homes/ID/visits/ID/report: the report of a visit as a PDF. */
export async function getVisitReport(homeId: string, visitId: string): Promise<Response> {
  const report = await visitReport(homeId, visitId);
  if (!report)
    return Response.json(
      { error: { code: "unknown-visit", message: "There is no such visit.", path: [] } },
      { status: 404 },
    );
  return new Response(new Uint8Array(report), {
    headers: {
      "content-type": "application/pdf",
      "content-disposition": `inline; filename="visit-${visitId}.pdf"`,
      "cache-control": "private, no-store",
      "x-content-type-options": "nosniff",
    },
  });
}
