import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { saveBreakdown } from "@/features/records/breakdowns/breakdown-actions";
import { BreakdownForm } from "@/features/records/breakdowns/breakdown-form-view";
import { newBreakdownOf } from "@/features/records/breakdowns/breakdown-queries";
import { noticedPageOf } from "@/features/records/noticed/noticed-queries";
import { LinkButton } from "@/ui/button";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "A machine stopped" };

export default async function NewBreakdownPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/breakdowns/new">) {
  const { homeId } = await params;
  const { unit, on } = await searchParams;
  if (typeof unit !== "string") {
    const choice = await noticedPageOf(homeId);
    if (!choice) notFound();
    return (
      <div className="mx-auto max-w-3xl">
        <h1 className="mb-4 text-[1.75rem]">Which machine stopped?</h1>
        {choice.units.length === 0 && (
          <>
            <p className="mb-4">No machine is written down here yet.</p>
            <LinkButton weight="strong" href={`/homes/${homeId}/units/new`}>
              Add a unit
            </LinkButton>
          </>
        )}
        <div className="flex flex-wrap gap-2">
          {choice.units.map(({ value, label }) => (
            <LinkButton key={value} href={`/homes/${homeId}/breakdowns/new?unit=${value}`}>
              {label}
            </LinkButton>
          ))}
        </div>
      </div>
    );
  }
  const page = await newBreakdownOf(homeId, unit, typeof on === "string" ? on : "");
  if (!page) notFound();
  return (
    <div className="mx-auto max-w-3xl">
      <h1 className="mb-5 text-[1.75rem]">{page.unit.name} stopped</h1>
      <BreakdownForm
        action={saveBreakdown.bind(null, homeId, { unitId: page.unit.id })}
        initial={emptyForm(page.values)}
        jobs={page.jobs}
        stood={page.stood}
        currency={page.snapshot.home.currency}
        today={page.today}
      />
    </div>
  );
}
