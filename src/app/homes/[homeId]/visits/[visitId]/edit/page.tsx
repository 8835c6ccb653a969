import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { savePlan } from "@/features/visits/visit-actions";
import { PlanForm } from "@/features/visits/visit-forms";
import { planPageOf } from "@/features/visits/visit-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Change the plan" };

export default async function ChangePlan({
  params,
}: PageProps<"/homes/[homeId]/visits/[visitId]/edit">) {
  const { homeId, visitId } = await params;
  const page = await planPageOf(homeId);
  const visit = page?.snapshot.visits.find(({ id }) => id === visitId);
  if (!page || !visit) notFound();
  const { contacts, units, asks, today } = page;
  return (
    <>
      <h1 className="mb-5 text-[1.75rem]">Change the plan</h1>
      <PlanForm
        action={savePlan.bind(null, homeId, visitId)}
        initial={emptyForm({
          reason: [visit.reason],
          unit: visit.unitIds,
          contactId: [visit.contactId ?? ""],
          on: [visit.on ?? ""],
          questions: [visit.questions ?? ""],
        })}
        contacts={contacts.map(({ id, name }) => ({ value: id, label: name }))}
        {...{ units, today }}
        asks={asks.filter((ask) => !visit.questions?.includes(ask))}
        isPast={false}
      />
    </>
  );
}
