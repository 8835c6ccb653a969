import { getJobPreview, previewStrategy } from "@/features/schedule/job-previews";
import { route } from "@/lib/store-trouble";

export const GET = route(
  async (
    request: Request,
    { params }: RouteContext<"/api/v1/homes/[homeId]/previews/strategies/[taskId]">,
  ) => getJobPreview(previewStrategy, request, await params),
);
