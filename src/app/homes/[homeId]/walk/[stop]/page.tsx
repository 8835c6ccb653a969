import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { StopView } from "@/features/inventory/walk/stop-view";
import { stopOf } from "@/features/inventory/walk/walk-queries";

export const metadata: Metadata = { title: "The first walk" };

export default async function StopPage({ params }: PageProps<"/homes/[homeId]/walk/[stop]">) {
  const { homeId, stop } = await params;
  const page = await stopOf(homeId, stop);
  if (!page) notFound();
  return <StopView key={stop} page={page} />;
}
