import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { RoundDeeds } from "@/features/schedule/round/round-deeds";
import { roundSheet } from "@/features/schedule/round/round-queries";
import { RoundView } from "@/features/schedule/round/round-view";

export const metadata: Metadata = { title: "Round" };

export default async function RoundPage({
  params,
}: PageProps<"/homes/[homeId]/year/[day]/[person]">) {
  const { homeId, day, person } = await params;
  const sheet = await roundSheet(homeId, day, decodeURIComponent(person));
  if (!sheet) notFound();
  const { entry, order, next, left, isUnplanned, isVisit, isOver } = sheet;
  return (
    <RoundView
      sheet={sheet}
      deeds={
        isOver ? null : (
          <RoundDeeds
            {...{ homeId, order, next, left, isUnplanned, isVisit }}
            day={sheet.day}
            person={sheet.person.id}
            roundId={entry?.id ?? null}
            isBegun={entry?.startedAt !== undefined}
            isAnnounced={entry?.announcedAt !== undefined}
          />
        )
      }
    />
  );
}
