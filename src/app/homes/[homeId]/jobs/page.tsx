import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { MovedNotice } from "@/features/records/moved-notice";
import { JobList, JobSection } from "@/features/schedule/job-list";
import { jobsPageOf } from "@/features/schedule/jobs-queries";

export const metadata: Metadata = { title: "Jobs" };

export default async function JobsPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/jobs">) {
  const { homeId } = await params;
  const { noted } = await searchParams;
  const page = await jobsPageOf(homeId);
  if (!page) notFound();
  return (
    <div className="flex flex-col gap-8">
      <header>
        <h1 className="text-[1.75rem]">Jobs that come round</h1>
        <p className="mt-1 max-w-prose text-second">
          Each with its usual rhythm from trade practice. A manual comes first: press the rhythm to
          change it for a part, or to leave a job out.
        </p>
      </header>
      <MovedNotice homeId={homeId} noted={noted} />
      <JobSection
        homeId={homeId}
        rows={page.own}
        title="Through the whole home"
        add={`/homes/${homeId}/jobs/new`}
      />
      <section aria-labelledby="coming">
        <h2 id="coming" className="border-b-[3px] border-ink pb-1 text-xl">
          At its machines, the soonest first
        </h2>
        <JobList homeId={homeId} rows={page.coming} label="Jobs at its machines" placed />
      </section>
      {page.waiting.length > 0 && (
        <section aria-labelledby="waiting">
          <h2 id="waiting" className="border-b-[3px] border-ink pb-1 text-xl">
            Only when something calls for them
          </h2>
          <JobList
            homeId={homeId}
            rows={page.waiting}
            label="Jobs that something calls for"
            name="waiting"
            placed
          />
        </section>
      )}
    </div>
  );
}
