import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { alarmSheetOf } from "@/features/runs/everybody-out/alarm-queries";
import { EverybodyOut } from "@/features/runs/everybody-out/everybody-out";

export const metadata: Metadata = { title: "Everybody out" };

export default async function EverybodyOutPage({
  params,
}: PageProps<"/homes/[homeId]/everybody-out">) {
  const { homeId } = await params;
  const sheet = await alarmSheetOf(homeId);
  if (!sheet) notFound();
  return <EverybodyOut sheet={sheet} homeHref={`/homes/${homeId}`} />;
}
