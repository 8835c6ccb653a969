import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { goingRuns } from "@/features/loose-ends/loose-ends-queries";
import { StartButton } from "@/features/run/components/start-button";
import { ChangedLink, PartView } from "@/features/unit/components/part-view";
import { partSheetOf } from "@/features/unit/unit-queries";

export const metadata: Metadata = { title: "Part" };

export default async function PartPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/parts/[partId]">) {
  const { homeId, partId } = await params;
  const { record } = await searchParams;
  const sheet = await partSheetOf(homeId, partId, record === "all");
  if (!sheet) notFound();
  const isGoing = (await goingRuns(homeId)).some(({ run }) => run.partId === partId);
  return (
    <PartView
      sheet={sheet}
      start={({ slot }) =>
        sheet.kind === "slot" && sheet.isGuided ? (
          <StartButton
            homeId={homeId}
            slotId={slot.id}
            words={isGoing ? "Carry on" : "Change it"}
          />
        ) : (
          <ChangedLink homeId={homeId} slotId={slot.id} strong />
        )
      }
    />
  );
}
