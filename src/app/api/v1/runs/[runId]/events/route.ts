import { getRunEvents, postRunEvents } from "@/features/runs/record/run-api";

type Context = { params: Promise<{ runId: string }> };

export async function POST(request: Request, { params }: Context): Promise<Response> {
  return postRunEvents((await params).runId, request);
}

export async function GET(_request: Request, { params }: Context): Promise<Response> {
  return getRunEvents((await params).runId);
}
