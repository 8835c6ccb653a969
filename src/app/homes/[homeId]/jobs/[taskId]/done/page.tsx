import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { noteJobDone } from "@/features/schedule/jobs-actions";
import { jobPageOf } from "@/features/schedule/jobs-queries";
import { DoneForm } from "@/features/records/entry-forms";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Note it done" };

export default async function JobDonePage({
  params,
}: PageProps<"/homes/[homeId]/jobs/[taskId]/done">) {
  const { homeId, taskId } = await params;
  const page = await jobPageOf(homeId, decodeURIComponent(taskId));
  if (!page || page.row.isRenewal) notFound();
  const { row, today, snapshot: book } = page;
  return (
    <div className="mx-auto max-w-3xl">
      <p className="text-second">{row.where || "The whole home"}</p>
      <h1 className="text-[1.75rem]">{row.name}</h1>
      <p className="mb-5 text-second">
        {row.how}; {row.last}
      </p>
      <DoneForm
        action={noteJobDone.bind(null, homeId, row.id)}
        initial={emptyForm({ date: [today] })}
        today={today}
        done="Done"
        currency={book.home.currency}
        isRenewed={page.isRenewedByIt}
      />
    </div>
  );
}
