import { randomUUID } from "node:crypto";
import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { JobSection } from "@/features/schedule/job-list";
import { StrategyCards } from "@/features/schedule/strategy-cards";
import { chooseStrategy } from "@/features/schedule/jobs-actions";
import { jobsOf } from "@/features/schedule/jobs-queries";
import { strategiesOf } from "@/features/schedule/strategies";
import { goingRuns } from "@/features/runs/loose-ends/loose-ends-queries";
import { ReadingSection } from "@/features/records/readings/reading-section";
import { readingSeriesOf } from "@/features/records/readings/readings-queries";
import { PartHistory } from "@/features/records/history";
import { LightButton, VacuumedButton } from "@/features/records/press-buttons";
import { MovedNotice } from "@/features/records/moved-notice";
import { PhotoPairs } from "@/features/runs/pictures/photo-pairs";
import { photoPairsOf } from "@/features/runs/pictures/photo-queries";
import { StartLink } from "@/features/runs/prepare/start-link";
import { forgetLooks } from "@/features/records/record-actions";
import { ChangedLink } from "@/features/inventory/parts/changed-link";
import { PartView } from "@/features/inventory/parts/part-view";
import { partSheetOf } from "@/features/inventory/units/unit-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Part" };

export default async function PartPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/parts/[partId]">) {
  const { homeId, partId } = await params;
  const { record, noted } = await searchParams;
  const sheet = await partSheetOf(homeId, partId, record === "all");
  if (!sheet) notFound();
  const strategies = await strategiesOf(homeId, partId);
  const jobs = await jobsOf(homeId, { unitId: sheet.unit.id, partId });
  const renewal = jobs.find((row) => row.isRenewal);
  const going = (await goingRuns(homeId)).find(({ task }) => task === renewal?.id);
  return (
    <>
      <MovedNotice homeId={homeId} noted={noted} />
      <PartView
        sheet={sheet}
        jobs={
          sheet.unit.retiredOn ? null : (
            <>
              {strategies && (
                <StrategyCards
                  cards={strategies.cards}
                  action={chooseStrategy.bind(null, homeId, strategies.taskId)}
                  preview={`/api/v1/homes/${homeId}/previews/strategies/${strategies.taskId}`}
                  initial={emptyForm(strategies.values)}
                  forget={strategies.hasLearnt ? forgetLooks.bind(null, homeId, partId) : null}
                />
              )}
              <JobSection
                homeId={homeId}
                rows={jobs.filter((row) => !row.isRenewal)}
                title="What comes round here"
                add={`/homes/${homeId}/jobs/new?unit=${sheet.unit.id}&part=${partId}`}
              />
            </>
          )
        }
        readings={
          <>
            <ReadingSection
              homeId={homeId}
              place={partId}
              series={await readingSeriesOf(homeId, { unitId: sheet.unit.id, partId })}
            />
            <PhotoPairs pairs={await photoPairsOf(homeId, { unitId: sheet.unit.id, partId })} />
          </>
        }
        history={
          <PartHistory
            {...{ homeId, partId }}
            {...sheet.history}
            isFilter={sheet.kind === "slot"}
            isService={sheet.kind === "part"}
          />
        }
        noting={({ id: slotId, indicator }) => (
          <>
            <VacuumedButton {...{ homeId, slotId }} commandId={randomUUID()} />
            {indicator && <LightButton {...{ homeId, slotId }} commandId={randomUUID()} />}
          </>
        )}
        start={({ slot }) =>
          sheet.kind === "slot" && renewal ? (
            <>
              <StartLink
                homeId={homeId}
                jobId={renewal.id}
                going={going?.run.id}
                words={`${sheet.guide} it`}
              />
              <ChangedLink homeId={homeId} slotId={slot.id} strong={false} />
            </>
          ) : (
            <ChangedLink homeId={homeId} slotId={slot.id} strong />
          )
        }
      />
    </>
  );
}
