import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { PartFormView } from "@/features/inventory/parts/part-form-view";
import { changePart } from "@/features/inventory/units/unit-actions";
import { partPageOf } from "@/features/inventory/units/unit-pages";
import { RemoveButton } from "@/features/inventory/trash/remove-button";
import { SlotFormView } from "@/features/inventory/filters/slot-form-view";
import { changeSlot } from "@/features/inventory/filters/slot-actions";
import { slotFieldsOf, slotPageOf } from "@/features/inventory/filters/slot-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Change a part" };

export default async function EditPart({
  params,
}: PageProps<"/homes/[homeId]/parts/[partId]/edit">) {
  const { homeId, partId } = await params;
  const slotPage = await slotPageOf(homeId, partId);
  const partPage = slotPage ? null : await partPageOf(homeId, partId);
  if (!slotPage && !partPage) notFound();
  const { name, unitId } = slotPage?.slot ?? partPage!.part;
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="mb-6 text-[1.75rem]">{name}</h1>
      {slotPage && (
        <SlotFormView
          action={changeSlot.bind(null, homeId, partId)}
          initial={emptyForm(slotFieldsOf(slotPage))}
          media={slotPage.media}
          rooms={slotPage.snapshot.rooms}
          airflowM3h={slotPage.airflowM3h}
          unit={slotPage.snapshot.home.unitSystem === "us" ? "in" : "mm"}
          currency={slotPage.snapshot.home.currency}
          today={slotPage.today}
          compared={slotPage.compared}
          isNew={false}
        />
      )}
      {partPage && (
        <PartFormView
          action={changePart.bind(null, homeId, partId)}
          initial={emptyForm(partPage.fields)}
          rooms={partPage.snapshot.rooms}
          system={partPage.snapshot.home.unitSystem}
          usual={[]}
          today={partPage.today}
          fixedKind={partPage.part.kind}
        />
      )}
      <RemoveButton
        target={{ kind: "slot", homeId, id: partId }}
        name={name}
        goTo={`/homes/${homeId}/units/${unitId}`}
      />
    </div>
  );
}
