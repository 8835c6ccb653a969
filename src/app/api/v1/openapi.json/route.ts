import { openApiDocument } from "@/features/data/compute-api";

export const dynamic = "force-static";

export function GET(): Response {
  return Response.json(openApiDocument());
}
