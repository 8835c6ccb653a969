import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { unitPageOf } from "@/features/inventory/units/unit-pages";
import { NoteForm } from "@/features/records/entry-forms";
import { writeNote } from "@/features/records/record-actions";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "A note" };

export default async function NotePage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/units/[unitId]/note">) {
  const { homeId, unitId } = await params;
  const { part } = await searchParams;
  const page = await unitPageOf(homeId, unitId);
  if (!page) notFound();
  const { snapshot: book, today } = page;
  const parts = [...book.slots, ...book.retiredSlots, ...book.parts]
    .filter((each) => each.unitId === unitId)
    .map(({ id, name }) => ({ value: id, label: name }));
  return (
    <div className="mx-auto max-w-3xl">
      <h1 className="mb-5 text-[1.75rem]">A note</h1>
      <NoteForm
        action={writeNote.bind(null, homeId, unitId)}
        initial={emptyForm({
          date: [today],
          ...(typeof part === "string" ? { partId: [part] } : {}),
        })}
        today={today}
        parts={parts}
      />
    </div>
  );
}
