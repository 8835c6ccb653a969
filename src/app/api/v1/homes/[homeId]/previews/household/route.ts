import { getDriverPreview } from "@/features/inventory/household/driver-preview";
import { route } from "@/lib/store-trouble";

export const GET = route(
  async (request: Request, { params }: RouteContext<"/api/v1/homes/[homeId]/previews/household">) =>
    getDriverPreview((await params).homeId, request),
);
