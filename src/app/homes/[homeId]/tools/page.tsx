import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { ToolsView } from "@/features/runs/library/tools-view";
import { toolsOf } from "@/features/runs/library/library-queries";
import { PrintButton } from "@/ui/print-button";

export const metadata: Metadata = { title: "Tools and consumables" };

export default async function ToolsPage({ params }: PageProps<"/homes/[homeId]/tools">) {
  const { homeId } = await params;
  const list = await toolsOf(homeId);
  if (!list) notFound();
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center justify-between gap-4">
        <h1 className="text-[1.75rem]">Tools and consumables for {list.homeName}</h1>
        <PrintButton />
      </div>
      <ToolsView list={list} />
    </>
  );
}
