import type { Metadata } from "next";
import { HomeFormView } from "@/features/inventory/homes/home-form-view";
import { createHome } from "@/features/inventory/homes/setup-actions";
import { emptyForm } from "@/lib/forms";
import { UrgentLink } from "@/ui/urgent-link";

export const metadata: Metadata = { title: "Your home" };

const usual = emptyForm({
  unitSystem: ["metric"],
  currency: ["EUR"],
  people: ["2"],
  pets: ["0"],
  levels: ["ground"],
});

export default function NewHome() {
  return (
    <main className="mx-auto max-w-5xl px-4 py-8">
      <div className="mb-6 flex items-baseline justify-between gap-4">
        <h1 className="text-3xl">Your home</h1>
        <UrgentLink href="/emergency">Emergency</UrgentLink>
      </div>
      <HomeFormView action={createHome} initial={usual} isNew />
    </main>
  );
}
