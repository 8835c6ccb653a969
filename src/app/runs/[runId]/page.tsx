import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { FinishedView } from "@/features/run/components/finished-view";
import { RunView } from "@/features/run/components/run-view";
import { runSheetOf, runWith } from "@/features/run/run-queries";

export const metadata: Metadata = { title: "Step by step" };

export default async function RunPage({ params }: PageProps<"/runs/[runId]">) {
  const { runId } = await params;
  const sheet = await runSheetOf(runId);
  if (!sheet) notFound();
  if (sheet.state.status !== "going") return <FinishedView sheet={sheet} />;
  return <RunView input={sheet.input} known={runWith(sheet)} />;
}
