import type { Metadata } from "next";
import { notFound, redirect } from "next/navigation";
import { PrepareView } from "@/features/runs/prepare/prepare-view";
import { prepareOf } from "@/features/runs/prepare/prepare-queries";
import { deferJob, startRun } from "@/features/runs/record/run-actions";
import { todayOf } from "@/features/today/today-queries";
import { StopList } from "@/features/today/watch-list";
import { ShutOffPress } from "@/features/inventory/units/shut-off";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Before you start" };

export default async function StartPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/jobs/[taskId]/start">) {
  const { homeId, taskId } = await params;
  const { way } = await searchParams;
  const jobId = decodeURIComponent(taskId);
  const ready = await prepareOf(homeId, jobId, typeof way === "string" ? way : undefined);
  if (!ready) notFound();
  if (ready.going) redirect(`/runs/${ready.going}`);
  const { unit } = ready;
  const watch = unit ? ((await todayOf(homeId))?.watch ?? []) : [];
  const stops = watch.filter((each) => each.unitId === unit?.id && each.verdict === "stop");
  return (
    <>
      {stops.length > 0 && (
        <div className="mb-6">
          <StopList homeId={homeId} watch={stops} />
        </div>
      )}
      <PrepareView
        key={ready.way.value}
        ready={ready}
        start={startRun.bind(null, homeId, jobId, ready.way.value)}
        deferral={deferJob.bind(null, homeId, jobId)}
        initial={emptyForm()}
        shutOff={unit && <ShutOffPress name={unit.name} shutOffs={unit.shutOffs} />}
      />
    </>
  );
}
