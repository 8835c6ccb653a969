import { postRunPhoto } from "@/features/runs/pictures/photo-api";

export async function POST(
  request: Request,
  { params }: RouteContext<"/api/v1/runs/[runId]/photos">,
) {
  return postRunPhoto((await params).runId, request);
}
