import type { Metadata } from "next";
import { headers } from "next/headers";
import { notFound } from "next/navigation";
import { LabelSheet } from "@/features/inventory/filters/label-sheet";
import { publicAddress } from "@/lib/addresses";
import { readEnv } from "@/lib/env";
import { labelOf } from "@/features/inventory/filters/label-queries";

export const metadata: Metadata = { title: "Label" };

export default async function LabelPage({
  params,
}: PageProps<"/homes/[homeId]/parts/[partId]/label">) {
  const { homeId, partId } = await params;
  const label = await labelOf(homeId, partId);
  if (!label) notFound();
  const found = publicAddress((await headers()).get("host"), readEnv(process.env));
  const address = found && `${found}/homes/${homeId}/parts/${partId}`;
  return (
    <>
      <h1 className="no-print mb-5 text-[1.75rem]">
        {label.kind === "slot" ? "Label for the frame" : "Label to stick on it"}
      </h1>
      {label.kind === "part" || label.doneOn ? (
        <LabelSheet label={label} address={address} />
      ) : (
        <p>No filter is recorded in this slot yet, so there is nothing to put on a label.</p>
      )}
    </>
  );
}
