import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { saveBreakdown } from "@/features/records/breakdowns/breakdown-actions";
import { BreakdownForm } from "@/features/records/breakdowns/breakdown-form-view";
import { newBreakdownOf } from "@/features/records/breakdowns/breakdown-queries";
import { readPlainDate } from "@/core/quantities/plain-date";
import { LinkButton } from "@/ui/button";
import { todayIn } from "@/lib/clock";
import { emptyForm } from "@/lib/forms";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";

export const metadata: Metadata = { title: "A machine stopped" };

export default async function NewBreakdownPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/breakdowns/new">) {
  const { homeId } = await params;
  const { unit, on } = await searchParams;
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) notFound();
  const today = todayIn(snapshot.home.timeZone);
  if (typeof unit !== "string")
    return (
      <div className="mx-auto max-w-3xl">
        <h1 className="mb-4 text-[1.75rem]">Which machine stopped?</h1>
        <div className="flex flex-wrap gap-2">
          {snapshot.units.map(({ id, name }) => (
            <LinkButton key={id} href={`/homes/${homeId}/breakdowns/new?unit=${id}`}>
              {name}
            </LinkButton>
          ))}
        </div>
      </div>
    );
  const day = readPlainDate(typeof on === "string" ? on : "") ?? today;
  const page = await newBreakdownOf(homeId, unit, day <= today ? day : today);
  if (!page) notFound();
  return (
    <div className="mx-auto max-w-3xl">
      <h1 className="mb-5 text-[1.75rem]">{page.unit.name} stopped</h1>
      <BreakdownForm
        action={saveBreakdown.bind(null, homeId, { unitId: page.unit.id })}
        initial={emptyForm(page.values)}
        jobs={page.jobs}
        stood={page.stood}
        currency={snapshot.home.currency}
        today={today}
      />
    </div>
  );
}
