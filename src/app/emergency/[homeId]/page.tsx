import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { emergencyListOf, forAllIfUnreadable } from "@/features/emergency/emergency-queries";
import { EmergencyForAll, EmergencyLines } from "@/features/emergency/emergency-view";

export const metadata: Metadata = { title: "Emergency" };

export default async function EmergencyLinesPage({
  params,
  searchParams,
}: PageProps<"/emergency/[homeId]">) {
  const { homeId } = await params;
  const { unit } = await searchParams;
  const list = await forAllIfUnreadable(emergencyListOf(homeId));
  if (!list) notFound();
  if (list === "for-all") return <EmergencyForAll />;
  return <EmergencyLines list={list} unitId={typeof unit === "string" ? unit : undefined} />;
}
