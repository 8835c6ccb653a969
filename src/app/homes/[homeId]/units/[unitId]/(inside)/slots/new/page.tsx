import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { SlotFormView } from "@/features/inventory/filters/slot-form-view";
import { createSlot } from "@/features/inventory/filters/slot-actions";
import { newSlotPageOf } from "@/features/inventory/filters/slot-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "A filter slot" };

export default async function NewSlot({
  params,
}: PageProps<"/homes/[homeId]/units/[unitId]/slots/new">) {
  const { homeId, unitId } = await params;
  const page = await newSlotPageOf(homeId, unitId);
  if (!page) notFound();
  const { home, rooms } = page.snapshot;
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="mb-6 text-[1.75rem]">A filter slot</h1>
      <SlotFormView
        action={createSlot.bind(null, homeId, unitId)}
        initial={emptyForm(page.fields)}
        media={page.media}
        rooms={rooms}
        airflowM3h={page.airflowM3h}
        unit={home.unitSystem === "us" ? "in" : "mm"}
        currency={home.currency}
        today={page.today}
        isNew
      />
    </div>
  );
}
