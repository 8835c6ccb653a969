import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { fieldsOfIdentity } from "@/features/inventory/parts/identity-form";
import { IdentityFormView } from "@/features/inventory/parts/identity-form-view";
import { changeIdentity } from "@/features/inventory/units/unit-actions";
import { identityPageOf } from "@/features/inventory/units/unit-pages";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "What its plate says" };

export default async function IdentityPage({
  params,
}: PageProps<"/homes/[homeId]/parts/[partId]/identity">) {
  const { homeId, partId } = await params;
  const page = await identityPageOf(homeId, partId);
  if (!page) notFound();
  return (
    <div className="mx-auto max-w-3xl">
      <h1 className="text-[1.75rem]">{page.name}: what its plate says</h1>
      <p className="mb-5 text-second">
        What you can read while you stand before it; the rest may wait. Jobs ask again when it is in
        sight.
      </p>
      <IdentityFormView
        action={changeIdentity.bind(null, homeId, partId)}
        initial={emptyForm(fieldsOfIdentity(page.identity))}
        kind={page.kind}
      />
    </div>
  );
}
