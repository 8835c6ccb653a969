import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { FinishedView } from "@/features/runs/finish/finished-view";
import { RunView } from "@/features/runs/guide/run-view";
import { runSheetOf, runWith } from "@/features/runs/guide/run-queries";

export const metadata: Metadata = { title: "Step by step" };

export default async function RunPage({ params }: PageProps<"/runs/[runId]">) {
  const { runId } = await params;
  const sheet = await runSheetOf(runId);
  if (!sheet) notFound();
  if (sheet.state.status !== "going") return <FinishedView sheet={sheet} />;
  return <RunView input={sheet.input} known={runWith(sheet)} />;
}
