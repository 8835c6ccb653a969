import { getJobPreview, previewJob } from "@/features/schedule/job-previews";

export const GET = async (
  request: Request,
  { params }: RouteContext<"/api/v1/homes/[homeId]/previews/jobs/[taskId]">,
) => getJobPreview(previewJob, request, await params);
