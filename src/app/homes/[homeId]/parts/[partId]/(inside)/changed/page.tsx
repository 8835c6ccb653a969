import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { partPageOf } from "@/features/inventory/units/unit-pages";
import { ChangedForm, DoneForm } from "@/features/records/entry-forms";
import { noteChanged, notePartDone } from "@/features/records/record-actions";
import { slotPageOf } from "@/features/inventory/filters/slot-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Note it done" };

export default async function Changed({
  params,
}: PageProps<"/homes/[homeId]/parts/[partId]/changed">) {
  const { homeId, partId } = await params;
  const slotPage = await slotPageOf(homeId, partId);
  const partPage = slotPage ? null : await partPageOf(homeId, partId);
  if (!slotPage && !partPage) notFound();
  return (
    <div className="mx-auto max-w-3xl">
      {slotPage && (
        <>
          <h1 className="mb-5 text-[1.75rem]">A change made earlier</h1>
          <ChangedForm
            action={noteChanged.bind(null, homeId, partId)}
            initial={emptyForm({ date: [slotPage.today] })}
            today={slotPage.today}
          />
        </>
      )}
      {partPage && (
        <>
          <h1 className="mb-5 text-[1.75rem]">{partPage.part.name}: note it done</h1>
          <DoneForm
            action={notePartDone.bind(null, homeId, partId)}
            initial={emptyForm({ date: [partPage.today] })}
            today={partPage.today}
            done={partPage.done}
            currency={partPage.snapshot.home.currency}
          />
        </>
      )}
    </div>
  );
}
