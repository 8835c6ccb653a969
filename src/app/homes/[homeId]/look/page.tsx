import type { Metadata } from "next";
import { Link } from "@/ui/link";
import { notFound } from "next/navigation";
import { LookForm } from "@/features/records/entry-forms";
import { noteLook } from "@/features/records/record-actions";
import { slotChoicesOf } from "@/features/inventory/filters/slot-queries";
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
      <div className="mb-5 flex flex-wrap items-baseline gap-x-6">
        <h1 className="text-[1.75rem]">Note a look</h1>
        <Link href={`/homes/${homeId}/reading`} className="text-link underline underline-offset-4">
          A reading instead
        </Link>
      </div>
      {choices.slots.length === 0 ? (
        <>
          <p className="mb-4">
            No filter is written down here. What a machine shows or measures is a reading.
          </p>
          <LinkButton weight="strong" href={`/homes/${homeId}/reading`}>
            Note a reading
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
          system={choices.system}
        />
      )}
    </div>
  );
}
