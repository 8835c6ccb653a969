import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { UnitFormView } from "@/features/inventory/units/unit-form-view";
import { changeUnit } from "@/features/inventory/units/unit-actions";
import { unitFieldsOf, unitPageOf } from "@/features/inventory/units/unit-pages";
import { RemoveButton } from "@/features/inventory/trash/remove-button";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Change the unit" };

export default async function EditUnit({
  params,
}: PageProps<"/homes/[homeId]/units/[unitId]/edit">) {
  const { homeId, unitId } = await params;
  const page = await unitPageOf(homeId, unitId);
  if (!page) notFound();
  const { snapshot, unit, today } = page;
  const { home, levels, rooms, contacts } = snapshot;
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="mb-6 text-[1.75rem]">{unit.name}</h1>
      <UnitFormView
        action={changeUnit.bind(null, homeId, unitId)}
        initial={emptyForm(unitFieldsOf(page))}
        home={{ levels, rooms, contacts, system: home.unitSystem, today }}
      />
      <RemoveButton
        target={{ kind: "unit", homeId, id: unitId }}
        name={unit.name}
        goTo={`/homes/${homeId}/house`}
      />
    </div>
  );
}
