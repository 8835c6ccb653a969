import { getRunEvents, postRunEvents } from "@/features/runs/record/run-api";
import { route } from "@/lib/store-trouble";

type Context = { params: Promise<{ runId: string }> };

export const POST = route(async (request: Request, { params }: Context) => {
  return postRunEvents((await params).runId, request);
});

export const GET = route(async (request: Request, { params }: Context) => {
  return getRunEvents((await params).runId, request);
});
