import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { alarmSheetOf } from "@/features/alarm/alarm-queries";
import { EverybodyOut } from "@/features/alarm/components/everybody-out";

export const metadata: Metadata = { title: "Everybody out" };

export default async function EverybodyOutPage({
  params,
}: PageProps<"/homes/[homeId]/everybody-out">) {
  const { homeId } = await params;
  const sheet = await alarmSheetOf(homeId);
  if (!sheet) notFound();
  return <EverybodyOut sheet={sheet} homeHref={`/homes/${homeId}`} />;
}
