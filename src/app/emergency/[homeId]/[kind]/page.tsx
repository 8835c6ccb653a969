import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { saveMain, saveNumber } from "@/features/emergency/emergency-actions";
import { emergencySheetOf, forAllIfUnreadable } from "@/features/emergency/emergency-queries";
import { EmergencyForAll, EmergencySheetView } from "@/features/emergency/emergency-view";

export const metadata: Metadata = { title: "Emergency" };

export default async function EmergencyKindPage({
  params,
  searchParams,
}: PageProps<"/emergency/[homeId]/[kind]">) {
  const { homeId, kind } = await params;
  const { unit } = await searchParams;
  const unitId = typeof unit === "string" ? unit : undefined;
  const sheet = await forAllIfUnreadable(emergencySheetOf(homeId, kind, unitId));
  if (!sheet) notFound();
  if (sheet === "for-all") return <EmergencyForAll />;
  return (
    <EmergencySheetView
      sheet={sheet}
      save={saveNumber.bind(null, homeId, kind, sheet.unit?.id ?? null)}
      saveMain={saveMain.bind(null, homeId, kind, sheet.unit?.id ?? null)}
    />
  );
}
