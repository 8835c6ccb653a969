import { getPlanInput } from "@/features/schedule/year/year-api";

export const GET = async (
  _: Request,
  { params }: RouteContext<"/api/v1/homes/[homeId]/year/input">,
) => getPlanInput((await params).homeId);
