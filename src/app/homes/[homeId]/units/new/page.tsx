import type { Metadata } from "next";
import { KindChoice } from "@/features/inventory/guided-add/kind-choice";
import { beginUnit } from "@/features/inventory/guided-add/set-up-actions";
import { Link } from "@/ui/link";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "A new unit" };

export default async function NewUnit({ params }: PageProps<"/homes/[homeId]/units/new">) {
  const { homeId } = await params;
  return (
    <>
      <h1 className="mb-1 text-[1.75rem]">What do you want to enter?</h1>
      <p className="text-second">It is kept from the first press; the rest takes two minutes.</p>
      <p className="mb-4 text-second">
        New to the house?{" "}
        <Link href={`/homes/${homeId}/walk`} className="text-link underline underline-offset-4">
          Begin the first walk
        </Link>{" "}
        instead: it finds the machines room by room.
      </p>
      <KindChoice action={beginUnit.bind(null, homeId)} initial={emptyForm()} />
    </>
  );
}
