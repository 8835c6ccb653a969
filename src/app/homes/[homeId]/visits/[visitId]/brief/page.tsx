import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { briefOf, briefText } from "@/features/visits/brief";
import { BriefView } from "@/features/visits/brief-view";
import { SendBrief } from "@/features/visits/send-brief";
import { HOUSEHOLD, visitOf } from "@/features/visits/visit-queries";
import { PrintButton } from "@/ui/print-button";

export const metadata: Metadata = { title: "Brief for a visit" };

export default async function BriefPage({
  params,
}: PageProps<"/homes/[homeId]/visits/[visitId]/brief">) {
  const { homeId, visitId } = await params;
  const page = await visitOf(homeId, visitId, HOUSEHOLD);
  if (!page) notFound();
  const brief = briefOf(page);
  const { contactId } = page.visit;
  const to = page.snapshot.contacts.find(({ id }) => id === contactId)?.email ?? "";
  return (
    <div className="flex flex-col gap-4">
      <div className="no-print flex flex-wrap items-center gap-2">
        <PrintButton />
        <SendBrief title={brief.title} text={briefText(brief)} to={to} />
      </div>
      <BriefView brief={brief} />
    </div>
  );
}
