import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { HouseSection } from "@/features/house/house-section";
import { houseOf } from "@/features/house/house-queries";
import { BegunList, EndList } from "@/features/runs/loose-ends/end-list";
import {
  begunRuns,
  goingRuns,
  leftOpen,
  openEnds,
} from "@/features/runs/loose-ends/loose-ends-queries";
import { MovedNotice } from "@/features/records/moved-notice";
import { StartLink } from "@/features/runs/prepare/start-link";
import { WalkBanner } from "@/features/inventory/walk/walk-banner";
import { walkUnderWay } from "@/features/inventory/walk/walk-queries";
import { NextRound } from "@/features/schedule/round/next-round";
import { nextRoundOf } from "@/features/schedule/round/next-round-queries";
import { TodayView } from "@/features/today/today-view";
import { NoticeList } from "@/features/today/notice-list";
import { noticesOf, todayOf } from "@/features/today/today-queries";
import { LinkButton } from "@/ui/button";
import { now } from "@/lib/clock";

export const metadata: Metadata = { title: "Today" };

export default async function TodayPage({ params, searchParams }: PageProps<"/homes/[homeId]">) {
  const { homeId } = await params;
  const { noted } = await searchParams;
  const data = await todayOf(homeId);
  if (!data) notFound();
  const ends = await openEnds(homeId);
  const house = await houseOf(
    homeId,
    ends.open.map((end) => end.unit),
  );
  const left = await leftOpen(homeId);
  const going = await goingRuns(homeId);
  const walk = await walkUnderWay(homeId);
  const { snapshot: book } = data;
  const round = await nextRoundOf(homeId);
  return (
    <TodayView
      data={data}
      openCount={left.length}
      walk={walk && <WalkBanner walk={walk} />}
      notices={
        <>
          <MovedNotice {...{ homeId, noted }} />
          <NoticeList homeId={homeId} kinds={await noticesOf(homeId)} />
        </>
      }
      ends={
        <>
          <EndList
            homeId={homeId}
            left={left}
            now={now().toISOString()}
            placeOf={(unitId, partId) => ({
              unitName: book.units.find((unit) => unit.id === unitId)?.name ?? "The house",
              partName: [...book.slots, ...book.parts]
                .find((part) => part.id === partId)
                ?.name.toLowerCase(),
            })}
          />
          <BegunList
            begun={await begunRuns(homeId)}
            unitNameOf={(id) => book.units.find((unit) => unit.id === id)?.name ?? "The house"}
          />
        </>
      }
      round={round && <NextRound round={round} />}
      house={
        house && house.drawn.units.length > 0 ? <HouseSection house={house.drawn} small /> : null
      }
      start={({ procedure, status, job }) =>
        procedure ? (
          <div className="flex flex-wrap gap-2">
            <StartLink
              homeId={homeId}
              jobId={job.task.id}
              going={going.find(({ task }) => task === job.task.id)?.run.id}
              words="Start"
            />
            <LinkButton
              href={`/homes/${homeId}/${status ? `parts/${status.filterStatus.slot.id}/changed` : `jobs/${job.task.id}/done`}`}
            >
              Note it done
            </LinkButton>
          </div>
        ) : (
          <LinkButton weight="strong" href={`/homes/${homeId}/jobs/${job.task.id}/done`}>
            Note it done
          </LinkButton>
        )
      }
    />
  );
}
