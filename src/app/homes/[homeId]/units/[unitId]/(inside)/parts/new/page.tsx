import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { PartFormView } from "@/features/inventory/parts/part-form-view";
import { createPart } from "@/features/inventory/units/unit-actions";
import { unitPageOf, usualPartsOf } from "@/features/inventory/units/unit-pages";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "A part" };

export default async function NewPart({
  params,
}: PageProps<"/homes/[homeId]/units/[unitId]/parts/new">) {
  const { homeId, unitId } = await params;
  const page = await unitPageOf(homeId, unitId);
  if (!page) notFound();
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="mb-6 text-[1.75rem]">A part</h1>
      <PartFormView
        action={createPart.bind(null, homeId, unitId)}
        initial={emptyForm()}
        rooms={page.snapshot.rooms}
        system={page.snapshot.home.unitSystem}
        usual={usualPartsOf(page)}
        today={page.today}
      />
    </div>
  );
}
