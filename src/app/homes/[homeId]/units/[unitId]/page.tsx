import type { Metadata } from "next";
import { notFound, redirect } from "next/navigation";
import { MovedNotice } from "@/features/jobs/components/moved-notice";
import { JobSection } from "@/features/jobs/components/job-list";
import { jobsOf } from "@/features/jobs/jobs-queries";
import { openEnds } from "@/features/loose-ends/loose-ends-queries";
import { ReadingSection } from "@/features/readings/components/reading-section";
import { readingSeriesOf } from "@/features/readings/readings-queries";
import { UnitActions } from "@/features/register/components/unit-actions";
import { STEP_WORDS } from "@/features/register/set-up";
import { UnitView } from "@/features/unit/components/unit-view";
import { unitSheetOf } from "@/features/unit/unit-queries";

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
            />
          </>
        }
        actions={
          <UnitActions homeId={homeId} unitId={unitId} isRetired={retiredOn !== undefined} />
        }
      />
    </>
  );
}
