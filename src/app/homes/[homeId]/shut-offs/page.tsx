import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { HouseSheetView } from "@/features/house/house-sheet-view";
import { houseSheetOf } from "@/features/house/house-sheet-queries";
import { PrintButton } from "@/ui/print-button";

export const metadata: Metadata = { title: "How to shut things off" };

export default async function ShutOffsPage({ params }: PageProps<"/homes/[homeId]/shut-offs">) {
  const { homeId } = await params;
  const sheet = await houseSheetOf(homeId);
  if (!sheet) notFound();
  return (
    <div className="relative">
      <HouseSheetView sheet={sheet} />
      <div className="mt-6 wide:absolute wide:top-0 wide:right-0 wide:mt-0">
        <PrintButton />
      </div>
    </div>
  );
}
