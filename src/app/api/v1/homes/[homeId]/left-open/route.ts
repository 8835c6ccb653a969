import { getLeftOpen } from "@/features/runs/loose-ends/loose-ends-api";
import { route } from "@/lib/store-trouble";

export const dynamic = "force-dynamic";

export const GET = route(
  async (_: Request, { params }: RouteContext<"/api/v1/homes/[homeId]/left-open">) =>
    getLeftOpen((await params).homeId),
);
