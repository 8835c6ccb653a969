import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { UnitFormView } from "@/features/setup/components/unit-form-view";
import { createUnit } from "@/features/setup/setup-actions";
import { levelsOf } from "@/features/setup/setup-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "A new unit" };

export default async function NewUnit({ params }: PageProps<"/homes/[homeId]/units/new">) {
  const { homeId } = await params;
  const levels = await levelsOf(homeId);
  if (!levels) notFound();
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="mb-6 text-[1.75rem]">A new unit</h1>
      <UnitFormView
        action={createUnit.bind(null, homeId)}
        initial={emptyForm(levels.length === 1 ? { levelId: [levels[0]!.id] } : {})}
        levels={levels}
        isNew
      />
    </div>
  );
}
