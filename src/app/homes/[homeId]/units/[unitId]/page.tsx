import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { goingRuns, openEnds } from "@/features/loose-ends/loose-ends-queries";
import { StartButton } from "@/features/run/components/start-button";
import { ChangedLink, UnitView } from "@/features/unit/components/unit-view";
import { unitSheetOf } from "@/features/unit/unit-queries";

export const metadata: Metadata = { title: "Unit" };

export default async function UnitPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/units/[unitId]">) {
  const { homeId, unitId } = await params;
  const { slot: wanted } = await searchParams;
  const sheet = await unitSheetOf(homeId, unitId, typeof wanted === "string" ? wanted : null);
  if (!sheet) notFound();
  const ends = await openEnds(homeId);
  const going = (await goingRuns(homeId)).map(({ run }) => run.partId);
  return (
    <UnitView
      sheet={sheet}
      ends={ends}
      start={({ slot }) =>
        sheet.guided.includes(slot.id) ? (
          <StartButton
            homeId={homeId}
            slotId={slot.id}
            words={going.includes(slot.id) ? "Carry on" : "Change it"}
          />
        ) : (
          <ChangedLink homeId={homeId} slotId={slot.id} strong />
        )
      }
    />
  );
}
