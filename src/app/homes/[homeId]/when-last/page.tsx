import type { Metadata } from "next";
import { notFound, redirect } from "next/navigation";
import { saveWhenLast } from "@/features/inventory/when-last/when-last-actions";
import { WhenLastForm } from "@/features/inventory/when-last/when-last-form-view";
import { whenLastOf } from "@/features/inventory/when-last/when-last-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "When last?" };

/** What nobody has said yet of the past of a home, or of one machine. */
export default async function WhenLastPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/when-last">) {
  const { homeId } = await params;
  const { unit } = await searchParams;
  const unitId = typeof unit === "string" ? unit : undefined;
  const page = await whenLastOf(homeId, unitId);
  if (!page) notFound();
  const { rows, today } = page;
  if (rows.length === 0)
    redirect(unitId ? `/homes/${homeId}/units/${unitId}/set-up/done` : `/homes/${homeId}`);
  return (
    <>
      <p className="text-second">{page.unit?.name ?? page.homeName}</p>
      <h1 className="text-[1.75rem]">When was it last done?</h1>
      <p className="mt-1 mb-4 max-w-prose">
        A day, “May 2024” or a year will do. Leave empty what nobody knows: it comes up in the next
        weeks, safety first, a few jobs at a time.
      </p>
      <WhenLastForm
        action={saveWhenLast.bind(null, homeId, unitId ?? null)}
        initial={emptyForm()}
        {...{ rows, today }}
      />
    </>
  );
}
