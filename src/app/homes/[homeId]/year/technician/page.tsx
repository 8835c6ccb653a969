import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { technicianPage } from "@/features/schedule/round/technician-queries";
import { TechnicianView } from "@/features/schedule/round/technician-view";
import { SendBrief } from "@/features/visits/send-brief";

export const metadata: Metadata = { title: "Technician’s days" };

export default async function TechnicianDaysPage({
  params,
}: PageProps<"/homes/[homeId]/year/technician">) {
  const { homeId } = await params;
  const page = await technicianPage(homeId);
  if (!page) notFound();
  return (
    <TechnicianView
      {...{ homeId, page }}
      send={({ title, text }) => <SendBrief {...{ title, text }} to={page.to} />}
    />
  );
}
