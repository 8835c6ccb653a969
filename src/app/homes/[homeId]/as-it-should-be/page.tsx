import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { SettingForm } from "@/features/inventory/settings/setting-form";
import { SettingsSheet } from "@/features/inventory/settings/settings-sheet";
import { saveSetting } from "@/features/inventory/settings/settings-actions";
import { fieldsOfSetting, settingsPageOf } from "@/features/inventory/settings/settings-queries";
import { emptyForm } from "@/lib/forms";
import { PrintButton } from "@/ui/print-button";

export const metadata: Metadata = { title: "As it should be" };

export default async function SettingsPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/as-it-should-be">) {
  const { homeId } = await params;
  const { change } = await searchParams;
  const page = await settingsPageOf(homeId);
  if (!page) notFound();
  const { rows, snapshot } = page;
  const changed = rows.find(({ id }) => id === change);
  return (
    <>
      <h1 className="text-[1.75rem]">As it should be</h1>
      <p className="mb-4 max-w-prose text-second">
        How {snapshot.home.name} is set when nobody is at work in it. The walk round compares.
      </p>
      <div className="grid gap-x-12 gap-y-8 wide:grid-cols-[minmax(0,1fr)_22rem]">
        <SettingsSheet homeId={homeId} rows={rows} />
        <aside className="no-print flex flex-col gap-6">
          <section className="border-t-[3px] border-ink pt-3">
            <h2 className="mb-3 text-xl">{changed ? "Change it" : "Add a setting"}</h2>
            <SettingForm
              key={changed?.id ?? `new ${rows.length}`}
              action={saveSetting.bind(null, homeId, changed?.id ?? null)}
              initial={emptyForm(changed ? fieldsOfSetting(changed) : { place: [""] })}
              places={[
                { value: "", label: "The home" },
                ...snapshot.units.map(({ id, name }) => ({ value: id, label: name })),
              ]}
              isNew={!changed}
            />
          </section>
          <PrintButton />
        </aside>
      </div>
    </>
  );
}
