import { getReadings } from "@/features/data/readings-csv";
import { route } from "@/lib/store-trouble";

export const GET = route(
  async (_request: Request, { params }: RouteContext<"/api/v1/homes/[homeId]/readings">) => {
    return getReadings((await params).homeId);
  },
);
