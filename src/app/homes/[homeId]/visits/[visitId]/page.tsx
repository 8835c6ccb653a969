import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { RemoveLink } from "@/features/inventory/trash/remove-link";
import { PictureShelf } from "@/features/inventory/units/picture-shelf";
import { beginVisit, settleFinding } from "@/features/visits/visit-actions";
import { HOUSEHOLD, visitOf } from "@/features/visits/visit-queries";
import { VisitView } from "@/features/visits/visit-view";
import { Button } from "@/ui/button";

export const metadata: Metadata = { title: "A visit" };

export default async function VisitPage({ params }: PageProps<"/homes/[homeId]/visits/[visitId]">) {
  const { homeId, visitId } = await params;
  const page = await visitOf(homeId, visitId, HOUSEHOLD);
  if (!page) notFound();
  return (
    <VisitView
      page={page}
      begin={
        <form action={beginVisit.bind(null, homeId, visitId)}>
          <Button type="submit" weight="strong">
            The technician is here
          </Button>
        </form>
      }
      settle={({ id, settledOn }) => (
        <form action={settleFinding.bind(null, homeId, id, settledOn === undefined)}>
          <Button type="submit" weight="quiet">
            {settledOn ? "Not right after all" : "It was put right"}
          </Button>
        </form>
      )}
      remove={({ kind, id, name }) => <RemoveLink target={{ kind, homeId, id }} name={name} />}
      papers={
        <PictureShelf
          homeId={homeId}
          about={{ visitId }}
          pictures={page.pictures.filter(({ findingId }) => findingId === null)}
          words="The visit"
        />
      }
    />
  );
}
