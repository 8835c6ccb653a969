import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { BriefView } from "@/features/visits/brief-view";
import { HOUSEHOLD, visitOf } from "@/features/visits/visit-queries";
import { PrintButton } from "@/ui/print-button";

export const metadata: Metadata = { title: "Brief for a visit" };

export default async function BriefPage({
  params,
}: PageProps<"/homes/[homeId]/visits/[visitId]/brief">) {
  const { homeId, visitId } = await params;
  const page = await visitOf(homeId, visitId, HOUSEHOLD);
  if (!page) notFound();
  return (
    <div className="relative">
      <BriefView page={page} />
      <div className="mt-6 wide:absolute wide:top-0 wide:right-0 wide:mt-0">
        <PrintButton />
      </div>
    </div>
  );
}
