import { getReadyCalendar } from "@/features/runs/times/ready-calendar";
import { route } from "@/lib/store-trouble";

export const GET = route(
  async (request: Request, { params }: RouteContext<"/api/v1/runs/[runId]/ready.ics">) => {
    return getReadyCalendar((await params).runId, request);
  },
);
