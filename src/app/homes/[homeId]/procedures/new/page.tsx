import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { OwnEditor } from "@/features/runs/own/own-editor";
import { saveOwnProcedure } from "@/features/runs/own/own-actions";
import { newOwnPageOf } from "@/features/runs/own/own-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "A procedure of your own" };

export default async function NewProcedurePage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/procedures/new">) {
  const { homeId } = await params;
  const { copy, job } = await searchParams;
  const copyOf = typeof copy === "string" ? copy : undefined;
  const page = await newOwnPageOf(homeId, copyOf, typeof job === "string" ? job : undefined);
  if (!page) notFound();
  const { id, before, basedOn, fields, jobs } = page;
  return (
    <>
      <h1 className="text-[1.75rem]">{before ? `Our way: ${before.title}` : "From its manual"}</h1>
      <p className="mb-5 max-w-prose text-second">
        {before
          ? "A copy to change; the one in the library stays. What opens something needs the step that puts it back."
          : "Its steps in order, one thing each. What opens something needs the step that puts it back."}
      </p>
      <OwnEditor
        action={saveOwnProcedure.bind(null, homeId, id, copyOf ?? null)}
        initial={emptyForm(fields)}
        context={{ id, before, basedOn }}
        jobs={jobs}
      />
    </>
  );
}
