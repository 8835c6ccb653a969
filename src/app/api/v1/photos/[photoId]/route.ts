import { getPhoto } from "@/features/runs/pictures/photo-api";

export async function GET(_: Request, { params }: RouteContext<"/api/v1/photos/[photoId]">) {
  return getPhoto((await params).photoId);
}
