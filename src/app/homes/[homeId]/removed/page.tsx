import type { Metadata } from "next";
import { RemovedList } from "@/features/inventory/trash/removed-list";
import { removedOf } from "@/features/inventory/trash/removed-queries";

export const metadata: Metadata = { title: "Removed things" };

export default async function RemovedPage({ params }: PageProps<"/homes/[homeId]/removed">) {
  const { homeId } = await params;
  return (
    <div className="mx-auto max-w-3xl">
      <h1 className="mb-1 text-[1.75rem]">Removed things</h1>
      <p className="mb-5 text-second">Each with all that was ever recorded at it.</p>
      <RemovedList homeId={homeId} list={await removedOf(homeId)} />
    </div>
  );
}
