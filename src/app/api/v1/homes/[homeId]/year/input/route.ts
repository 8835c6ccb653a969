import { getPlanInput } from "@/features/schedule/year/year-api";
import { route } from "@/lib/store-trouble";

export const GET = route(
  async (_: Request, { params }: RouteContext<"/api/v1/homes/[homeId]/year/input">) =>
    getPlanInput((await params).homeId),
);
