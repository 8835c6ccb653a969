import type { Metadata } from "next";
import { redirect } from "next/navigation";
import { anyHome } from "@/features/emergency/emergency-queries";
import { EmergencyForAll } from "@/features/emergency/emergency-view";

export const metadata: Metadata = { title: "Emergency" };

export default async function EmergencyPage() {
  const homeId = await anyHome();
  if (homeId) redirect(`/emergency/${homeId}`);
  return <EmergencyForAll />;
}
