import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { yearPage } from "@/features/schedule/year/year-queries";
import { YearView } from "@/features/schedule/year/year-view";

export const metadata: Metadata = { title: "Year" };

export default async function YearPage({ params }: PageProps<"/homes/[homeId]/year">) {
  const { homeId } = await params;
  const page = await yearPage(homeId);
  if (!page) notFound();
  return <YearView page={page} />;
}
