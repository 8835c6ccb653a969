import { postCopy } from "@/features/data/copies-api";
import { route } from "@/lib/store-trouble";

export const POST = route(async (request: Request) => {
  return postCopy(request);
});
