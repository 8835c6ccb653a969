import type { Metadata } from "next";
import { Link } from "@/ui/link";
import { notFound } from "next/navigation";
import { JobList } from "@/features/schedule/job-list";
import { firstDueOf } from "@/features/schedule/jobs-queries";
import { walkUnderWay } from "@/features/inventory/walk/walk-queries";
import { LinkButton } from "@/ui/button";

export const metadata: Metadata = { title: "Entered" };

/** The end of entering a unit: what is due first there, and what only its owner can say. */
export default async function SetUpDone({
  params,
}: PageProps<"/homes/[homeId]/units/[unitId]/set-up/done">) {
  const { homeId, unitId } = await params;
  const page = await firstDueOf(homeId, unitId);
  if (!page) notFound();
  const { unit, rows, unknown } = page;
  const walk = await walkUnderWay(homeId, unitId);
  const home = `/homes/${homeId}`;
  return (
    <div className="mx-auto max-w-5xl">
      <p className="text-second">{unit.name} is entered.</p>
      <h1 className="text-[1.75rem]">What is due first</h1>
      {unknown.map(({ id, words }) => (
        <p key={id} className="mt-3 border-l-4 border-attention bg-wash px-4 py-2.5">
          {words}{" "}
          <Link
            href={`${home}/parts/${id}/changed`}
            className="font-semibold text-link underline underline-offset-4"
          >
            When was it changed? A guess will do
          </Link>
        </p>
      ))}
      <div className="mt-4 border-t-[3px] border-ink">
        {rows.length > 0 ? (
          <JobList homeId={homeId} rows={rows} label="What is due first" placed />
        ) : (
          <p className="pt-3">Nothing comes round at it yet.</p>
        )}
      </div>
      <div className="mt-6 flex flex-wrap gap-2">
        {walk && (
          <LinkButton weight="strong" href={walk.href}>
            {walk.words ? `On with the walk: ${walk.words}` : "The walk is done"}
          </LinkButton>
        )}
        <LinkButton weight={walk ? "plain" : "strong"} href={home}>
          Go to Today
        </LinkButton>
        <LinkButton href={`${home}/units/new`}>Add another unit</LinkButton>
        <LinkButton href={`${home}/units/${unitId}`}>Open its page</LinkButton>
      </div>
    </div>
  );
}
