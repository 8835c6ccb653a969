import type { Metadata } from "next";
import { notFound, redirect } from "next/navigation";
import { DiyOrPro } from "@/features/money/decisions";
import { diyFactsOf } from "@/features/money/money-queries";
import { JobFormView } from "@/features/schedule/job-form-view";
import { ResetJob } from "@/features/schedule/reset-job";
import { jobFormOf } from "@/features/schedule/job-form-values";
import { changeJob, resetJob } from "@/features/schedule/jobs-actions";
import { jobPageOf } from "@/features/schedule/jobs-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "How a job comes round" };

export default async function JobPage({ params }: PageProps<"/homes/[homeId]/jobs/[taskId]">) {
  const { homeId, taskId } = await params;
  const page = await jobPageOf(homeId, decodeURIComponent(taskId));
  if (!page) notFound();
  const { jobStatus, row, rounds } = page;
  // How a filter goes is chosen on its own sheet, with the strategies beside each other.
  if (row.isRenewal) redirect(`/homes/${homeId}/${row.path}`);
  const { values, usual } = jobFormOf(page);
  const diy = await diyFactsOf(homeId, row.id);
  return (
    <div className="mx-auto max-w-3xl">
      <p className="text-second">{row.where || "The whole home"}</p>
      <h1 className="mb-5 text-[1.75rem]">{row.name}</h1>
      <JobFormView
        action={changeJob.bind(null, homeId, row.id)}
        preview={`/api/v1/homes/${homeId}/previews/jobs/${row.id}`}
        initial={emptyForm(values)}
        usual={usual}
        submit="Save"
      />
      {rounds && (
        <p className="figures border-t border-rule pt-3">
          <span className="text-second">Its rounds in the coming two years: </span>
          {rounds}
        </p>
      )}
      {diy && <DiyOrPro facts={diy} />}
      {jobStatus.task.isChanged && !jobStatus.task.isOwn && (
        <ResetJob reset={resetJob.bind(null, homeId, row.id)} />
      )}
    </div>
  );
}
