import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { LookForm } from "@/features/slot/components/entry-forms";
import { noteLook } from "@/features/slot/slot-actions";
import { slotChoicesOf } from "@/features/slot/slot-queries";
import { LinkButton } from "@/ui/button";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Note a look" };

export default async function LookPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/look">) {
  const { homeId } = await params;
  const { slot } = await searchParams;
  const choices = await slotChoicesOf(homeId);
  if (!choices) notFound();
  return (
    <div className="mx-auto max-w-3xl">
      <h1 className="mb-5 text-[1.75rem]">Note a look</h1>
      {choices.slots.length === 0 ? (
        <>
          <p className="mb-4">There is no filter to look at yet.</p>
          <LinkButton weight="strong" href={`/homes/${homeId}/units/new`}>
            Add a unit
          </LinkButton>
        </>
      ) : (
        <LookForm
          action={noteLook.bind(null, homeId)}
          initial={emptyForm({
            date: [choices.today],
            ...(typeof slot === "string" ? { slotId: [slot] } : {}),
          })}
          today={choices.today}
          slots={choices.slots}
        />
      )}
    </div>
  );
}
