import { notFound } from "next/navigation";
import { UnitHead } from "@/features/inventory/units/unit-head";
import { unitHeadOf } from "@/features/inventory/units/unit-queries";

export default async function InsideUnit({
  children,
  params,
}: LayoutProps<"/homes/[homeId]/units/[unitId]">) {
  const { homeId, unitId } = await params;
  const head = await unitHeadOf(homeId, { unitId });
  if (!head) notFound();
  return (
    <>
      <UnitHead homeId={homeId} unit={head.unit} part={null} />
      {children}
    </>
  );
}
