import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { ProcedureView } from "@/features/runs/procedures/procedure-view";
import { jobOf } from "@/features/runs/procedures/procedures-queries";
import { goingRuns } from "@/features/runs/loose-ends/loose-ends-queries";
import { StartLink } from "@/features/runs/prepare/start-link";

export const metadata: Metadata = { title: "How it is done" };

export default async function ProcedurePage({
  params,
}: PageProps<"/homes/[homeId]/procedures/[procedureId]">) {
  const { homeId, procedureId } = await params;
  const page = await jobOf(homeId, procedureId);
  if (!page) notFound();
  const going = await goingRuns(homeId);
  const { job, places, isOwn } = page;
  const library = `/homes/${homeId}/procedures`;
  return (
    <ProcedureView
      {...{ job, places }}
      change={
        isOwn
          ? { href: `${library}/${procedureId}/edit`, words: "Change it" }
          : { href: `${library}/new?copy=${procedureId}`, words: "Copy it and change it" }
      }
      start={(jobId) => (
        <StartLink
          homeId={homeId}
          jobId={jobId}
          going={going.find(({ task }) => task === jobId)?.run.id}
          words="Prepare"
        />
      )}
    />
  );
}
