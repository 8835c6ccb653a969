import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { noteSeenTo } from "@/features/records/noticed/noticed-actions";
import { stopPageOf } from "@/features/records/noticed/noticed-queries";
import { SeenToForm } from "@/features/records/noticed/seen-to-form";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Seen to" };

/** The end of a stop: who saw to it, and what was found. */
export default async function SeenToPage({ params }: PageProps<"/homes/[homeId]/stops/[eventId]">) {
  const { homeId, eventId } = await params;
  const page = await stopPageOf(homeId, eventId);
  if (!page) notFound();
  return (
    <div className="mx-auto max-w-4xl">
      <p className="text-second">{page.place}</p>
      <h1 className="text-[1.75rem]">Was it seen to?</h1>
      <p className="mb-5 max-w-prose">
        {page.words} It stays off until somebody has, and says so here.
      </p>
      <SeenToForm
        action={noteSeenTo.bind(null, homeId, eventId)}
        initial={emptyForm({ date: [page.today] })}
        today={page.today}
      />
    </div>
  );
}
