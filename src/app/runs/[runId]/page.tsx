import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { FinishedView } from "@/features/runs/finish/finished-view";
import { RunView } from "@/features/runs/guide/run-view";
import { DayOrderProvider } from "@/ui/day-order";
import { EnglishProvider } from "@/ui/english";
import { dayOrderOf } from "@/lib/day-order";
import { runSheetOf, runWith } from "@/features/runs/guide/run-queries";

export const metadata: Metadata = { title: "Step by step" };

export default async function RunPage({ params }: PageProps<"/runs/[runId]">) {
  const { runId } = await params;
  const sheet = await runSheetOf(runId);
  if (!sheet) notFound();
  return (
    <DayOrderProvider order={dayOrderOf(sheet.snapshot.home.unitSystem)}>
      <EnglishProvider english={sheet.english}>
        {sheet.state.status === "going" ? (
          <RunView input={sheet.input} known={runWith(sheet)} />
        ) : (
          <FinishedView sheet={sheet} />
        )}
      </EnglishProvider>
    </DayOrderProvider>
  );
}
