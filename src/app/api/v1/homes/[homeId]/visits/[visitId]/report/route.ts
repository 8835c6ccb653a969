import { getVisitReport } from "@/features/visits/report-api";
import { route } from "@/lib/store-trouble";

export const GET = route(
  async (
    _request: Request,
    { params }: RouteContext<"/api/v1/homes/[homeId]/visits/[visitId]/report">,
  ) => {
    const { homeId, visitId } = await params;
    return getVisitReport(homeId, visitId);
  },
);
