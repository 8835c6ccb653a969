import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { ReplaceForm, RetireForm } from "@/features/inventory/units/replace-forms";
import { replaceUnit, retireUnit } from "@/features/inventory/units/unit-actions";
import { unitPageOf } from "@/features/inventory/units/unit-pages";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Replace or retire it" };

export default async function ReplacePage({
  params,
}: PageProps<"/homes/[homeId]/units/[unitId]/replace">) {
  const { homeId, unitId } = await params;
  const page = await unitPageOf(homeId, unitId);
  if (!page) notFound();
  const { snapshot: book, unit, today } = page;
  const slots = book.slots.filter((slot) => slot.unitId === unitId);
  const parts = book.parts.filter((part) => part.unitId === unitId);
  // What is in the duct or the wall outlives the machine.
  const staying = slots.filter(({ slotPlace }) =>
    ["return-duct", "wall-grille", "ceiling-grille"].includes(slotPlace),
  );
  return (
    <div className="grid gap-x-12 gap-y-8 wide:grid-cols-2">
      <section>
        <h1 className="mb-4 text-[1.75rem]">A new one in its place</h1>
        <ReplaceForm
          action={replaceUnit.bind(null, homeId, unitId)}
          initial={emptyForm({
            date: [today],
            kind: [unit.kind],
            keeps: staying.map((slot) => slot.id),
          })}
          today={today}
          parts={[...slots, ...parts].map(({ id, name }) => ({ id, name }))}
        />
      </section>
      <section>
        <h2 className="mb-4 text-[1.75rem]">Out of service</h2>
        <RetireForm
          action={retireUnit.bind(null, homeId, unitId)}
          initial={emptyForm({ date: [today] })}
          today={today}
        />
      </section>
    </div>
  );
}
