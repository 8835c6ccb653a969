import { getPhoto } from "@/features/runs/pictures/photo-api";
import { route } from "@/lib/store-trouble";

export const GET = route(
  async (_: Request, { params }: RouteContext<"/api/v1/photos/[photoId]">) => {
    return getPhoto((await params).photoId);
  },
);
