import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { FinishedView } from "@/features/run/components/finished-view";
import { ShutOffPress } from "@/features/unit/components/shut-off";
import { RunView } from "@/features/run/components/run-view";
import { runSheetOf, runWith } from "@/features/run/run-queries";

export const metadata: Metadata = { title: "Step by step" };

export default async function RunPage({ params }: PageProps<"/runs/[runId]">) {
  const { runId } = await params;
  const sheet = await runSheetOf(runId);
  if (!sheet) notFound();
  if (sheet.state.status !== "going") return <FinishedView sheet={sheet} />;
  const { input, unit } = sheet;
  return (
    <RunView
      input={input}
      known={runWith(sheet)}
      shutOff={unit && <ShutOffPress name={unit.name} shutOffs={unit.shutOffs} isBrief />}
    />
  );
}
