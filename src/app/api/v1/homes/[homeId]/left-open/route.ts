import { getLeftOpen } from "@/features/runs/loose-ends/loose-ends-api";

export const dynamic = "force-dynamic";

export const GET = async (
  _: Request,
  { params }: RouteContext<"/api/v1/homes/[homeId]/left-open">,
) => getLeftOpen((await params).homeId);
