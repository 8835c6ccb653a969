import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { RemoveButton } from "@/features/removed/components/remove-button";
import { SlotFormView } from "@/features/slot/components/slot-form-view";
import { changeSlot } from "@/features/slot/slot-actions";
import { slotFieldsOf, slotPageOf } from "@/features/slot/slot-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Change the slot" };

export default async function EditSlot({
  params,
}: PageProps<"/homes/[homeId]/slots/[slotId]/edit">) {
  const { homeId, slotId } = await params;
  const page = await slotPageOf(homeId, slotId);
  if (!page) notFound();
  const { book, unit, slot } = page;
  return (
    <div className="mx-auto max-w-5xl">
      <p className="text-second">{unit.name}</p>
      <h1 className="mb-6 text-[1.75rem]">{slot.name}</h1>
      <SlotFormView
        action={changeSlot.bind(null, homeId, slotId)}
        initial={emptyForm(slotFieldsOf(page))}
        media={page.media}
        unit={book.home.unitSystem === "us" ? "in" : "mm"}
        currency={book.home.currency}
        today={page.today}
        isNew={false}
      />
      <RemoveButton
        thing={{ kind: "slot", homeId, id: slotId }}
        name={slot.name.toLowerCase()}
        goTo={`/homes/${homeId}/units/${unit.id}`}
      />
    </div>
  );
}
