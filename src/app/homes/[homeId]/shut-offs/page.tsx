import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { HouseSheetView } from "@/features/house-sheet/components/house-sheet-view";
import { houseSheetOf } from "@/features/house-sheet/house-sheet-queries";
import { PrintButton } from "@/ui/print-button";

export const metadata: Metadata = { title: "How to shut things off" };

export default async function ShutOffsPage({ params }: PageProps<"/homes/[homeId]/shut-offs">) {
  const { homeId } = await params;
  const sheet = await houseSheetOf(homeId);
  if (!sheet) notFound();
  return (
    <div className="flex flex-wrap-reverse items-start justify-between gap-x-8 gap-y-3">
      <div className="grow">
        <HouseSheetView sheet={sheet} />
      </div>
      <PrintButton />
    </div>
  );
}
