import type { Metadata } from "next";
import { Link } from "@/ui/link";
import { notFound } from "next/navigation";
import { HousePanel } from "@/features/house/house-panel";
import { HouseSection, LevelList } from "@/features/house/house-section";
import { houseOf } from "@/features/house/house-queries";
import { openEnds } from "@/features/runs/loose-ends/loose-ends-queries";
import { LinkButton } from "@/ui/button";

export const metadata: Metadata = { title: "House" };

export default async function HousePage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/house">) {
  const { homeId } = await params;
  const { unit } = await searchParams;
  const ends = await openEnds(homeId);
  const house = await houseOf(
    homeId,
    ends.open.map((end) => end.unit),
    typeof unit === "string" ? unit : null,
  );
  if (!house) notFound();
  return (
    <>
      <div className="mb-6 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-[1.75rem]">The house</h1>
        <span className="flex flex-wrap gap-2">
          <LinkButton weight="quiet" href={`/homes/${homeId}/walk`}>
            Walk through it
          </LinkButton>
          <LinkButton weight="quiet" href={`/homes/${homeId}/shut-offs`}>
            How to shut things off
          </LinkButton>
          <LinkButton href={`/homes/${homeId}/units/new`}>Add a unit</LinkButton>
        </span>
      </div>
      <div className="grid items-start gap-x-8 wide:grid-cols-[minmax(0,1fr)_19rem]">
        <HouseSection house={house.drawn} />
        {house.selected && <HousePanel homeId={homeId} selected={house.selected} />}
      </div>
      <LevelList house={house.drawn} />
      {house.retired.length > 0 && (
        <p className="mt-6 text-second">
          Out of service:{" "}
          {house.retired.map(({ id, name }, i) => (
            <span key={id}>
              {i > 0 && ", "}
              <Link
                href={`/homes/${homeId}/units/${id}`}
                className="text-link underline underline-offset-4"
              >
                {name}
              </Link>
            </span>
          ))}
          .
        </p>
      )}
    </>
  );
}
