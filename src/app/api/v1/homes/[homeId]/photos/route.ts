import { postHomePhoto } from "@/features/inventory/units/picture-api";
import { route } from "@/lib/store-trouble";

export const POST = route(
  async (request: Request, { params }: RouteContext<"/api/v1/homes/[homeId]/photos">) => {
    return postHomePhoto((await params).homeId, request);
  },
);
