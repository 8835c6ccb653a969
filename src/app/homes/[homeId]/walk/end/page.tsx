import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { WalkEndView } from "@/features/inventory/walk/end-view";
import { endWalk, resumeWalk } from "@/features/inventory/walk/walk-actions";
import { walkEndOf } from "@/features/inventory/walk/walk-queries";
import { Button } from "@/ui/button";

export const metadata: Metadata = { title: "What comes of the first walk" };

export default async function WalkEndPage({ params }: PageProps<"/homes/[homeId]/walk/end">) {
  const { homeId } = await params;
  const page = await walkEndOf(homeId);
  if (!page) notFound();
  return (
    <WalkEndView
      page={page}
      end={
        page.isBegun && (
          <form action={(page.isEnded ? resumeWalk : endWalk).bind(null, homeId)}>
            <Button type="submit" weight="quiet">
              {page.isEnded ? "Take the walk up again" : "End the walk here"}
            </Button>
          </form>
        )
      }
    />
  );
}
