import { redirect } from "next/navigation";
import { firstHomeId } from "@/features/timeline/shell-queries";

export const dynamic = "force-dynamic";

export default async function Start() {
  const first = await firstHomeId();
  redirect(first ? `/homes/${first}` : "/welcome");
}
