import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { saveBreakdown } from "@/features/records/breakdowns/breakdown-actions";
import { BreakdownForm } from "@/features/records/breakdowns/breakdown-form-view";
import { breakdownOf } from "@/features/records/breakdowns/breakdown-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "A breakdown" };

export default async function BreakdownPage({
  params,
}: PageProps<"/homes/[homeId]/breakdowns/[eventId]">) {
  const { homeId, eventId } = await params;
  const page = await breakdownOf(homeId, eventId);
  if (!page) notFound();
  const { snapshot, unit, jobs, stood, today, values } = page;
  return (
    <div className="mx-auto max-w-3xl">
      <h1 className="text-[1.75rem]">{unit.name} stopped</h1>
      <p className="mb-5 text-second">
        Add what was found since. The older entry stays in the record.
      </p>
      <BreakdownForm
        action={saveBreakdown.bind(null, homeId, { unitId: unit.id, eventId })}
        initial={emptyForm(values)}
        {...{ jobs, stood, today }}
        currency={snapshot.home.currency}
      />
    </div>
  );
}
