import { getVisitReport } from "@/features/visits/report-api";

export async function GET(
  _request: Request,
  { params }: RouteContext<"/api/v1/homes/[homeId]/visits/[visitId]/report">,
) {
  const { homeId, visitId } = await params;
  return getVisitReport(homeId, visitId);
}
