import { getReadings } from "@/features/data/readings-csv";

export async function GET(
  _request: Request,
  { params }: RouteContext<"/api/v1/homes/[homeId]/readings">,
) {
  return getReadings((await params).homeId);
}
