import type { Metadata } from "next";
import { headers } from "next/headers";
import { deviceHome } from "@/lib/device-home";
import { HomeFormView } from "@/features/inventory/homes/home-form-view";
import { createHome } from "@/features/inventory/homes/setup-actions";
import { listHomes } from "@/features/inventory/homes/setup-queries";
import { Link } from "@/ui/link";
import { emptyForm } from "@/lib/forms";
import { UrgentLink } from "@/ui/urgent-link";

export const metadata: Metadata = { title: "Your home" };

const USUAL = {
  people: ["2"],
  pets: ["0"],
  levels: ["ground"],
};

export default async function NewHome() {
  // Drawn anew each time: the name of what is asked for is made with the form, and two homes are not one.
  const { unitSystem, currency } = deviceHome((await headers()).get("accept-language"));
  const others = await listHomes();
  return (
    <main className="mx-auto max-w-5xl px-4 py-8">
      <div className="mb-6 flex items-baseline justify-between gap-4">
        <h1 className="text-3xl">{others.length > 0 ? "Another home" : "Your home"}</h1>
        <span className="flex items-baseline gap-6">
          {others[0] && (
            <Link
              href={`/homes/${others[0].id}`}
              className="inline-flex min-h-11 items-center text-link underline underline-offset-4"
            >
              Back to {others[0].name}
            </Link>
          )}
          <UrgentLink href="/emergency">Emergency</UrgentLink>
        </span>
      </div>
      <HomeFormView
        action={createHome}
        initial={emptyForm({ ...USUAL, unitSystem: [unitSystem], currency: [currency] })}
        isNew
      />
    </main>
  );
}
