import { randomUUID } from "node:crypto";
import type { Metadata } from "next";
import { notFound, redirect } from "next/navigation";
import { AlarmLines } from "@/features/emergency/emergency-view";
import { UnitHistory } from "@/features/records/history";
import { MovedNotice } from "@/features/records/moved-notice";
import { JobSection } from "@/features/schedule/job-list";
import { jobsOf } from "@/features/schedule/jobs-queries";
import { openEnds } from "@/features/runs/loose-ends/loose-ends-queries";
import { ReadingSection } from "@/features/records/readings/reading-section";
import { beforeAfterOf, readingSeriesOf } from "@/features/records/readings/readings-queries";
import { UnitActions } from "@/features/inventory/units/unit-buttons";
import { STEP_WORDS } from "@/features/inventory/guided-add/set-up";
import { GoneButton, LightButton } from "@/features/records/press-buttons";
import { PictureShelf } from "@/features/inventory/units/picture-shelf";
import { listPicturesOf } from "@/features/inventory/units/picture-queries";
import { UnitView } from "@/features/inventory/units/unit-view";
import { todayOf } from "@/features/today/today-queries";
import { StopList, WatchList } from "@/features/today/watch-list";
import { unitSheetOf } from "@/features/inventory/units/unit-queries";

export const metadata: Metadata = { title: "Unit" };

export default async function UnitPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/units/[unitId]">) {
  const { homeId, unitId } = await params;
  const { slot, record, noted } = await searchParams;
  // Labels printed before parts had pages of their own lead here.
  if (typeof slot === "string") redirect(`/homes/${homeId}/parts/${slot}`);
  const sheet = await unitSheetOf(homeId, unitId, record === "all");
  if (!sheet) notFound();
  const { setUpStep, retiredOn } = sheet.unit;
  return (
    <>
      <MovedNotice homeId={homeId} noted={noted} />
      <UnitView
        sheet={sheet}
        ends={await openEnds(homeId)}
        next={
          setUpStep
            ? {
                words: STEP_WORDS[setUpStep].question,
                href: `/homes/${homeId}/units/${unitId}/set-up/${setUpStep}`,
              }
            : null
        }
        watch={
          <>
            <AlarmLines {...{ homeId, unitId }} kind={sheet.unit.kind} />
            <WatchOfUnit {...{ homeId, unitId }} />
          </>
        }
        light={(slotId, words) => (
          <LightButton {...{ homeId, slotId, words }} commandId={randomUUID()} />
        )}
        jobs={
          <>
            <JobSection
              homeId={homeId}
              rows={await jobsOf(homeId, { unitId })}
              title="What comes round for the whole of it"
              add={`/homes/${homeId}/jobs/new?unit=${unitId}`}
            />
            <ReadingSection
              homeId={homeId}
              place={unitId}
              series={await readingSeriesOf(homeId, { unitId })}
              beforeAfter={await beforeAfterOf(homeId, unitId)}
            />
          </>
        }
        pictures={
          <PictureShelf
            homeId={homeId}
            about={{ unitId }}
            pictures={await listPicturesOf(unitId)}
            words={sheet.unit.name}
          />
        }
        history={<UnitHistory {...{ homeId, unitId }} {...sheet.history} />}
        actions={
          <UnitActions
            {...{ homeId, unitId }}
            isRetired={retiredOn !== undefined}
            commandId={crypto.randomUUID()}
          />
        }
      />
    </>
  );
}

/** What must not run and what is on watch at the machine. */
async function WatchOfUnit({ homeId, unitId }: { homeId: string; unitId: string }) {
  const all = (await todayOf(homeId))?.watch ?? [];
  const watch = all.filter((each) => each.unitId === unitId);
  if (watch.length === 0) return null;
  const rows = {
    homeId,
    gone: (eventId: string) => <GoneButton {...{ homeId, eventId }} commandId={randomUUID()} />,
  };
  return (
    <>
      <StopList {...rows} watch={watch} />
      <WatchList {...rows} watch={watch.filter(({ verdict }) => verdict !== "stop")} />
    </>
  );
}
