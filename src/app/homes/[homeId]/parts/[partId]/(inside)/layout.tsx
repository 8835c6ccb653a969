import { notFound } from "next/navigation";
import { UnitHead } from "@/features/inventory/units/unit-head";
import { unitHeadOf } from "@/features/inventory/units/unit-queries";

export default async function InsidePart({
  children,
  params,
}: LayoutProps<"/homes/[homeId]/parts/[partId]">) {
  const { homeId, partId } = await params;
  const head = await unitHeadOf(homeId, { partId });
  if (!head) notFound();
  return (
    <>
      <UnitHead homeId={homeId} unit={head.unit} part={{ id: partId, name: head.partName! }} />
      {children}
    </>
  );
}
