import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { JobSection } from "@/features/jobs/components/job-list";
import { SchoolCards } from "@/features/jobs/components/school-cards";
import { chooseSchool, previewSchool } from "@/features/jobs/jobs-actions";
import { jobsOf } from "@/features/jobs/jobs-queries";
import { schoolsOf } from "@/features/jobs/schools";
import { goingRuns } from "@/features/loose-ends/loose-ends-queries";
import { ReadingSection } from "@/features/readings/components/reading-section";
import { readingSeriesOf } from "@/features/readings/readings-queries";
import { MovedNotice } from "@/features/jobs/components/moved-notice";
import { PhotoPairs } from "@/features/run/components/photo-pairs";
import { photoPairsOf } from "@/features/run/photo-queries";
import { StartLink } from "@/features/run/components/start-link";
import { forgetLooks } from "@/features/slot/slot-actions";
import { ChangedLink, PartView } from "@/features/unit/components/part-view";
import { partSheetOf } from "@/features/unit/unit-queries";
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
  const schools = await schoolsOf(homeId, partId);
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
              {schools && (
                <SchoolCards
                  cards={schools.cards}
                  action={chooseSchool.bind(null, homeId, schools.taskId)}
                  preview={previewSchool.bind(null, homeId, schools.taskId)}
                  initial={emptyForm(schools.values)}
                  forget={schools.hasLearnt ? forgetLooks.bind(null, homeId, partId) : null}
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
        start={({ slot }) =>
          sheet.kind === "slot" && sheet.guide && renewal ? (
            <StartLink
              homeId={homeId}
              jobId={renewal.id}
              going={going?.run.id}
              words={`${sheet.guide} it`}
            />
          ) : (
            <ChangedLink homeId={homeId} slotId={slot.id} strong />
          )
        }
      />
    </>
  );
}
