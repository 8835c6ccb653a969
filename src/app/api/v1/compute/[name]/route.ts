import { postCompute } from "@/features/data/compute-api";

export async function POST(
  request: Request,
  { params }: { params: Promise<{ name: string }> },
): Promise<Response> {
  return postCompute((await params).name, request);
}
