import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { emergencyListOf } from "@/features/emergency/emergency-queries";
import { EmergencyLines } from "@/features/emergency/emergency-view";

export const metadata: Metadata = { title: "Emergency" };

export default async function EmergencyLinesPage({
  params,
  searchParams,
}: PageProps<"/emergency/[homeId]">) {
  const { homeId } = await params;
  const { unit } = await searchParams;
  const list = await emergencyListOf(homeId);
  if (!list) notFound();
  return <EmergencyLines list={list} unitId={typeof unit === "string" ? unit : undefined} />;
}
