import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { z } from "zod";
import { JobFormView } from "@/features/schedule/job-form-view";
import { NEW_JOB } from "@/features/schedule/job-form-values";
import { addJob } from "@/features/schedule/jobs-actions";
import { placeNameOf } from "@/features/schedule/jobs-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "A job of your own" };

const placeSchema = z.object({ unit: z.string().optional(), part: z.string().optional() });

export default async function NewJobPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/jobs/new">) {
  const { homeId } = await params;
  const { unit, part } = placeSchema.parse(await searchParams);
  const place = await placeNameOf(homeId, { unitId: unit, partId: part });
  if (!place) notFound();
  return (
    <div className="mx-auto max-w-3xl">
      <p className="text-second">{place.name}</p>
      <h1 className="mb-5 text-[1.75rem]">A job of your own</h1>
      <JobFormView
        action={addJob.bind(null, homeId, place.place)}
        initial={emptyForm({ ...NEW_JOB, name: [""] })}
        usual={null}
        submit="Add the job"
      />
    </div>
  );
}
