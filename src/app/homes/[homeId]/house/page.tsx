import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { HouseSection, LevelList } from "@/features/house/components/house-section";
import { houseOf } from "@/features/house/house-queries";
import { openEnds } from "@/features/loose-ends/loose-ends-queries";
import { LinkButton } from "@/ui/button";

export const metadata: Metadata = { title: "House" };

export default async function HousePage({ params }: PageProps<"/homes/[homeId]/house">) {
  const { homeId } = await params;
  const ends = await openEnds(homeId);
  const house = await houseOf(
    homeId,
    ends.open.map((end) => end.unit),
  );
  if (!house) notFound();
  return (
    <>
      <div className="mb-6 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-[1.75rem]">The house</h1>
        <LinkButton href={`/homes/${homeId}/units/new`}>Add a unit</LinkButton>
      </div>
      <HouseSection house={house} />
      <LevelList house={house} />
    </>
  );
}
