import { getJobPreview, previewStrategy } from "@/features/schedule/job-previews";

export const GET = async (
  request: Request,
  { params }: RouteContext<"/api/v1/homes/[homeId]/previews/strategies/[taskId]">,
) => getJobPreview(previewStrategy, request, await params);
