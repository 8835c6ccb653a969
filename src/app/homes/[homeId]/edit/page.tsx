import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { RemoveButton } from "@/features/inventory/trash/remove-button";
import { HomeFormView } from "@/features/inventory/homes/home-form-view";
import { changeHome } from "@/features/inventory/homes/setup-actions";
import { homeFieldsOf, mainShelvesOf } from "@/features/inventory/homes/setup-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Home and climate" };

export default async function EditHome({ params }: PageProps<"/homes/[homeId]/edit">) {
  const { homeId } = await params;
  const fields = await homeFieldsOf(homeId);
  if (!fields) notFound();
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="mb-6 text-[1.75rem]">Home and climate</h1>
      <HomeFormView
        action={changeHome.bind(null, homeId)}
        initial={emptyForm(fields)}
        isNew={false}
        pictures={await mainShelvesOf(homeId)}
      />
      <RemoveButton
        target={{ kind: "home", homeId, id: homeId }}
        name={fields["name"]![0]!}
        goTo="/"
      />
    </div>
  );
}
