import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { RemoveButton } from "@/features/removed/components/remove-button";
import { UnitFormView } from "@/features/setup/components/unit-form-view";
import { changeUnit } from "@/features/setup/setup-actions";
import { levelsOf, unitFieldsOf } from "@/features/setup/setup-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Change the unit" };

export default async function EditUnit({
  params,
}: PageProps<"/homes/[homeId]/units/[unitId]/edit">) {
  const { homeId, unitId } = await params;
  const fields = await unitFieldsOf(homeId, unitId);
  const levels = await levelsOf(homeId);
  if (!fields || !levels) notFound();
  const name = fields["name"]![0]!;
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="mb-6 text-[1.75rem]">{name}</h1>
      <UnitFormView
        action={changeUnit.bind(null, homeId, unitId)}
        initial={emptyForm(fields)}
        levels={levels}
        isNew={false}
      />
      <RemoveButton
        thing={{ kind: "unit", homeId, id: unitId }}
        name={name}
        goTo={`/homes/${homeId}/house`}
      />
    </div>
  );
}
