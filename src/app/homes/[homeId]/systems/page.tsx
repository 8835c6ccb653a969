import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { SystemList } from "@/features/inventory/air-systems/system-list";
import { systemsOf } from "@/features/inventory/units/unit-pages";

export const metadata: Metadata = { title: "Air systems" };

export default async function SystemsPage({ params }: PageProps<"/homes/[homeId]/systems">) {
  const { homeId } = await params;
  const page = await systemsOf(homeId);
  if (!page) notFound();
  return (
    <>
      <h1 className="text-[1.75rem]">Air systems</h1>
      <p className="mb-4 text-second">
        Machines that move air together. Every filter takes the hours of its system.
      </p>
      <SystemList homeId={homeId} rows={page.rows} />
    </>
  );
}
