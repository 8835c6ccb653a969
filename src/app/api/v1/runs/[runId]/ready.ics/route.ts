import { getReadyCalendar } from "@/features/runs/times/ready-calendar";

export async function GET(
  request: Request,
  { params }: RouteContext<"/api/v1/runs/[runId]/ready.ics">,
) {
  return getReadyCalendar((await params).runId, request);
}
