import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { FinishedView } from "@/features/run/components/finished-view";
import { ShutOffPress } from "@/features/unit/components/shut-off";
import { RunView } from "@/features/run/components/run-view";
import { runSheetOf, runTitle, todayWords } from "@/features/run/run-queries";

export const metadata: Metadata = { title: "Step by step" };

export default async function RunPage({ params }: PageProps<"/runs/[runId]">) {
  const { runId } = await params;
  const sheet = await runSheetOf(runId);
  if (!sheet) notFound();
  if (sheet.state.status !== "going") return <FinishedView sheet={sheet} />;
  const { run, unit, slot, events, place, serverNow } = sheet;
  return (
    <RunView
      input={{ runId, procedureId: run.procedureId, facts: run.facts, place, events, serverNow }}
      homeId={run.homeId}
      unit={unit}
      slot={slot}
      title={runTitle(sheet)}
      dateToday={todayWords(sheet)}
      shutOff={<ShutOffPress name={unit.name} shutOffs={unit.shutOffs} />}
    />
  );
}
