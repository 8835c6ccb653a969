import type { Metadata } from "next";
import { notFound, redirect } from "next/navigation";
import { CorrectForm } from "@/features/records/entry-forms";
import { correctEntry } from "@/features/records/record-actions";
import { entryOf } from "@/features/inventory/filters/slot-queries";
import { UnitHead } from "@/features/inventory/units/unit-head";
import { unitHeadOf } from "@/features/inventory/units/unit-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Correct an entry" };

export default async function Entry({ params }: PageProps<"/homes/[homeId]/entries/[eventId]">) {
  const { homeId, eventId } = await params;
  const entry = await entryOf(homeId, eventId);
  if (!entry) notFound();
  if (entry.isBreakdown) redirect(`/homes/${homeId}/breakdowns/${eventId}`);
  const head = entry.unitId ? await unitHeadOf(homeId, { unitId: entry.unitId }) : null;
  return (
    <div className="mx-auto max-w-3xl">
      {head && <UnitHead homeId={homeId} unit={head.unit} part={null} />}
      <h1 className="text-[1.75rem]">Correct an entry</h1>
      <p className="mb-5 text-second">The old one stays in the record; this one counts.</p>
      <CorrectForm
        action={correctEntry.bind(null, homeId, eventId)}
        initial={emptyForm(entry.fields)}
        today={entry.today}
        isLook={entry.isLook}
      />
    </div>
  );
}
