import { openApiDocument } from "@/features/compute/compute-api";

export const dynamic = "force-static";

export function GET(): Response {
  return Response.json(openApiDocument());
}
