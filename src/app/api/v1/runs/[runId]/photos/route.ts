import { postRunPhoto } from "@/features/runs/pictures/photo-api";
import { route } from "@/lib/store-trouble";

export const POST = route(
  async (request: Request, { params }: RouteContext<"/api/v1/runs/[runId]/photos">) => {
    return postRunPhoto((await params).runId, request);
  },
);
