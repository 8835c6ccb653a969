import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { ProcedureView } from "@/features/procedures/components/procedure-view";
import { jobOf } from "@/features/procedures/procedures-queries";
import { StartButton } from "@/features/run/components/start-button";

export const metadata: Metadata = { title: "How it is done" };

export default async function ProcedurePage({
  params,
}: PageProps<"/homes/[homeId]/procedures/[procedureId]">) {
  const { homeId, procedureId } = await params;
  const page = await jobOf(homeId, procedureId);
  if (!page) notFound();
  return (
    <ProcedureView
      {...page}
      start={(slotId) => <StartButton homeId={homeId} slotId={slotId} words="Start" />}
    />
  );
}
