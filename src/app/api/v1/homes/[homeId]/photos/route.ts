import { postHomePhoto } from "@/features/inventory/units/picture-api";

export async function POST(
  request: Request,
  { params }: RouteContext<"/api/v1/homes/[homeId]/photos">,
) {
  return postHomePhoto((await params).homeId, request);
}
