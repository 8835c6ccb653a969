import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { LibraryView } from "@/features/runs/library/library-view";
import { libraryOf, seasonIn } from "@/features/runs/library/library-queries";
import { LinkButton } from "@/ui/button";
import { PrintButton } from "@/ui/print-button";

export const metadata: Metadata = { title: "How each job is done" };

export default async function LibraryPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/procedures">) {
  const { homeId } = await params;
  const { season } = await searchParams;
  const library = await libraryOf(homeId);
  if (!library) notFound();
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center justify-between gap-4">
        <h1 className="text-[1.75rem]">How each job is done</h1>
        <div className="no-print flex gap-3">
          <LinkButton href={`/homes/${homeId}/procedures/new`}>Write one from a manual</LinkButton>
          <PrintButton />
        </div>
      </div>
      <LibraryView homeId={homeId} {...library} season={seasonIn(season)} />
    </>
  );
}
