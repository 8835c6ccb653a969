import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { OwnEditor } from "@/features/runs/own/own-editor";
import { saveOwnProcedure } from "@/features/runs/own/own-actions";
import { ownPageOf } from "@/features/runs/own/own-queries";
import { RemoveButton } from "@/features/inventory/trash/remove-button";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Change a procedure" };

export default async function EditProcedurePage({
  params,
}: PageProps<"/homes/[homeId]/procedures/[procedureId]/edit">) {
  const { homeId, procedureId } = await params;
  const page = await ownPageOf(homeId, procedureId);
  if (!page) notFound();
  const { id, before, basedOn, fields, jobs } = page;
  return (
    <>
      <h1 className="text-[1.75rem]">{before?.title}</h1>
      <p className="mb-5 max-w-prose text-second">
        Jobs begun already keep the steps they began with.
      </p>
      <OwnEditor
        action={saveOwnProcedure.bind(null, homeId, id, null)}
        initial={emptyForm(fields)}
        context={{ id, before, basedOn }}
        jobs={jobs}
      />
      <RemoveButton
        target={{ kind: "procedure", homeId, id }}
        name={before?.title ?? ""}
        goTo={`/homes/${homeId}/procedures`}
      />
    </>
  );
}
