import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { DriverFormView } from "@/features/inventory/household/driver-form-view";
import { DriverList } from "@/features/inventory/household/driver-list";
import { HouseholdAsks } from "@/features/inventory/household/household-asks";
import { saveDriver } from "@/features/inventory/household/household-actions";
import { householdOf } from "@/features/inventory/household/household-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "People and surroundings" };

export default async function HouseholdPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/household">) {
  const { homeId } = await params;
  const { change, kind, scope, percent } = await searchParams;
  const changing = typeof change === "string" ? change : null;
  const household = await householdOf(homeId, changing, {
    ...(typeof kind === "string" ? { kind } : {}),
    ...(typeof scope === "string" ? { scope } : {}),
    ...(typeof percent === "string" ? { percent } : {}),
  });
  if (!household) notFound();
  return (
    <div>
      <h1 className="text-[1.75rem]">People and surroundings</h1>
      <p className="mb-4 text-second">What makes filters fill faster here than elsewhere.</p>
      <div className="grid gap-x-12 gap-y-8 wide:grid-cols-[minmax(0,1fr)_25rem]">
        <div>
          <DriverList homeId={homeId} rows={household.rows} />
          <HouseholdAsks homeId={homeId} asks={household.asks} nos={household.nos} />
        </div>
        <section id="add" className="border-t-[3px] border-ink pt-4">
          <h2 className="mb-4 text-xl">{changing ? "Change it" : "Add something"}</h2>
          <DriverFormView
            key={`${changing} ${String(kind)} ${String(scope)}`}
            action={saveDriver.bind(null, homeId, changing)}
            initial={emptyForm(household.fields)}
            preview={`/api/v1/homes/${homeId}/previews/household${changing ? `?driver=${changing}` : ""}`}
            today={household.today}
            scopes={household.scopes}
            submit={changing ? "Save" : "Add it"}
          />
        </section>
      </div>
    </div>
  );
}
