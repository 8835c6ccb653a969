import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { enterPast, savePlan } from "@/features/visits/visit-actions";
import { PlanForm } from "@/features/visits/visit-forms";
import { planPageOf, reasonIn } from "@/features/visits/visit-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "A visit" };

export default async function NewVisit({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/visits/new">) {
  const { homeId } = await params;
  const { past, on, units: asked, unit, reason } = await searchParams;
  const page = await planPageOf(homeId);
  if (!page) notFound();
  const { contacts, units, asks, today } = page;
  const isPast = past === "1";
  const named = typeof asked === "string" ? asked : typeof unit === "string" ? unit : null;
  const wanted = named?.split(",") ?? null;
  const chosen = units.filter(({ id, due }) => (wanted ? wanted.includes(id) : due !== ""));
  return (
    <>
      <h1 className="mb-5 text-[1.75rem]">{isPast ? "A visit from its paper" : "Plan a visit"}</h1>
      <PlanForm
        action={isPast ? enterPast.bind(null, homeId) : savePlan.bind(null, homeId, null)}
        initial={emptyForm({
          reason: [reasonIn(reason)],
          unit: isPast ? [] : chosen.map(({ id }) => id),
          on: [typeof on === "string" ? on : ""],
          contactId: [contacts.find(({ role }) => role === "technician")?.id ?? ""],
        })}
        contacts={contacts.map(({ id, name }) => ({ value: id, label: name }))}
        {...{ units, asks, isPast, today }}
      />
    </>
  );
}
