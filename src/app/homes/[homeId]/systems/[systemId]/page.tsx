import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { SystemFormView } from "@/features/inventory/air-systems/system-form-view";
import { membersFor, systemFieldsOf, systemsOf } from "@/features/inventory/units/unit-pages";
import { changeSystem } from "@/features/inventory/air-systems/system-actions";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Air system" };

export default async function SystemPage({
  params,
}: PageProps<"/homes/[homeId]/systems/[systemId]">) {
  const { homeId, systemId } = await params;
  const page = await systemsOf(homeId);
  const row = page?.rows.find(({ system }) => system.id === systemId);
  if (!page || !row) notFound();
  const { snapshot: book } = page;
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="mb-6 text-[1.75rem]">{row.system.name}: how it runs</h1>
      <SystemFormView
        action={changeSystem.bind(null, homeId, systemId)}
        initial={emptyForm(systemFieldsOf(book, row))}
        units={membersFor(book, systemId)}
        movesAir={row.movesAir}
        isUs={book.home.unitSystem === "us"}
      />
    </div>
  );
}
