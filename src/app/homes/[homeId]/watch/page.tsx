import { randomUUID } from "node:crypto";
import type { Metadata } from "next";
import { Link } from "@/ui/link";
import { notFound } from "next/navigation";
import { GoneButton } from "@/features/records/press-buttons";
import { todayOf } from "@/features/today/today-queries";
import { WatchList } from "@/features/today/watch-list";

export const metadata: Metadata = { title: "On watch" };

export default async function WatchPage({ params }: PageProps<"/homes/[homeId]/watch">) {
  const { homeId } = await params;
  const data = await todayOf(homeId);
  if (!data) notFound();
  return (
    <div className="mx-auto max-w-5xl">
      <h1 className="text-[1.75rem]">On watch</h1>
      <p className="mt-1 mb-5 max-w-prose text-second">
        What is not sound, what drifts out of its limits within a year, what was put off or noticed:
        the worst first, with what is done about it next.
      </p>
      {data.watch.length === 0 ? (
        <p>
          Nothing. What you{" "}
          <Link href={`/homes/${homeId}/reading`} className="text-link underline">
            read
          </Link>{" "}
          and{" "}
          <Link href={`/homes/${homeId}/noticed`} className="text-link underline">
            notice
          </Link>{" "}
          is judged here.
        </p>
      ) : (
        <WatchList
          homeId={homeId}
          watch={data.watch}
          gone={(eventId) => <GoneButton {...{ homeId, eventId }} commandId={randomUUID()} />}
        />
      )}
    </div>
  );
}
