import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { ChangedForm } from "@/features/slot/components/entry-forms";
import { noteChanged } from "@/features/slot/slot-actions";
import { slotPageOf } from "@/features/slot/slot-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "A change made earlier" };

export default async function Changed({
  params,
}: PageProps<"/homes/[homeId]/slots/[slotId]/changed">) {
  const { homeId, slotId } = await params;
  const page = await slotPageOf(homeId, slotId);
  if (!page) notFound();
  return (
    <div className="mx-auto max-w-3xl">
      <p className="text-second">
        {page.unit.name}, {page.slot.name.toLowerCase()}
      </p>
      <h1 className="mb-5 text-[1.75rem]">A change made earlier</h1>
      <ChangedForm
        action={noteChanged.bind(null, homeId, slotId)}
        initial={emptyForm({ date: [page.today] })}
        today={page.today}
      />
    </div>
  );
}
