import { getPhoto } from "@/features/run/photo-api";

export async function GET(_: Request, { params }: RouteContext<"/api/v1/photos/[photoId]">) {
  return getPhoto((await params).photoId);
}
