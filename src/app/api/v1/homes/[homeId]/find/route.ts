import { found } from "@/features/search/find-queries";

export async function GET(
  request: Request,
  { params }: RouteContext<"/api/v1/homes/[homeId]/find">,
): Promise<Response> {
  const { homeId } = await params;
  const query = new URL(request.url).searchParams.get("q") ?? "";
  return Response.json({ found: await found(homeId, query) });
}
