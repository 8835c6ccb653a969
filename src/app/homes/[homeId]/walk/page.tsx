import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { walkOf } from "@/features/inventory/walk/walk-queries";
import { WalkView } from "@/features/inventory/walk/walk-view";

export const metadata: Metadata = { title: "The first walk" };

export default async function WalkPage({ params }: PageProps<"/homes/[homeId]/walk">) {
  const { homeId } = await params;
  const page = await walkOf(homeId);
  if (!page) notFound();
  return <WalkView page={page} />;
}
