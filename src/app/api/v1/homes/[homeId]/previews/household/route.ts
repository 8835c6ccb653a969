import { getDriverPreview } from "@/features/inventory/household/driver-preview";

export const GET = async (
  request: Request,
  { params }: RouteContext<"/api/v1/homes/[homeId]/previews/household">,
) => getDriverPreview((await params).homeId, request);
