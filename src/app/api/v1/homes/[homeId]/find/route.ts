import { found } from "@/features/search/find-queries";
import { route } from "@/lib/store-trouble";

export const GET = route(
  async (request: Request, { params }: RouteContext<"/api/v1/homes/[homeId]/find">) => {
    const { homeId } = await params;
    const query = new URL(request.url).searchParams.get("q") ?? "";
    return Response.json({ found: await found(homeId, query) });
  },
);
