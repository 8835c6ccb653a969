import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { alarmSheetOf } from "@/features/runs/everybody-out/alarm-queries";
import { EverybodyOut } from "@/features/runs/everybody-out/everybody-out";

export const metadata: Metadata = { title: "Everybody out" };

export default async function EverybodyOutPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/everybody-out">) {
  const { homeId } = await params;
  const sheet = await alarmSheetOf(homeId);
  if (!sheet) notFound();
  const { of } = await searchParams;
  return (
    <EverybodyOut sheet={sheet} homeHref={`/homes/${homeId}`} of={of === "gas" ? "gas" : "co"} />
  );
}
