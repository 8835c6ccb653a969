import type { Metadata } from "next";
import { Link } from "@/ui/link";
import { notFound } from "next/navigation";
import { PictureShelf } from "@/features/inventory/units/picture-shelf";
import { ChecksForm } from "@/features/visits/checks-form";
import { keepChecks, saveChecks, saveFinding } from "@/features/visits/visit-actions";
import { FindingForm } from "@/features/visits/visit-forms";
import { HOUSEHOLD, findingFieldsOf, unitChecksOf } from "@/features/visits/visit-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Checks" };

export default async function UnitChecks({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/visits/[visitId]/units/[unitId]">) {
  const { homeId, visitId, unitId } = await params;
  const { finding: wanted } = await searchParams;
  const page = await unitChecksOf(homeId, visitId, unitId, HOUSEHOLD);
  if (!page) notFound();
  const { snapshot, visit, unit, units, rows, initial, fogLimit, school, partNames, pictures } =
    page;
  const { unitSystem: system, currency } = snapshot.home;
  const here = units.find((each) => each.unit.id === unitId)!;
  const finding = here.findings.find(({ id }) => id === wanted);
  const at = visit.unitIds.indexOf(unitId);
  return (
    <div className="grid gap-x-10 gap-y-8 wide:grid-cols-[minmax(0,1fr)_22rem]">
      <div className="min-w-0">
        <p className="text-second">
          <Link
            href={`/homes/${homeId}/visits/${visitId}`}
            className="text-link underline underline-offset-4"
          >
            The visit
          </Link>
          {`: machine ${at + 1} of ${visit.unitIds.length}`}
        </p>
        <h1 className="text-[1.75rem]">{unit.name}</h1>
        <p className="mb-4 text-second">
          In working order. What is not measured stays empty; the last time’s stands beside.
        </p>
        <ChecksForm
          key={`${unitId} ${rows.length}`}
          action={saveChecks.bind(null, homeId, { visitId, unitId })}
          keep={keepChecks.bind(null, homeId, { visitId, unitId })}
          initial={emptyForm(initial)}
          instruments={snapshot.instruments}
          {...{ rows, system, fogLimit, school }}
        />
      </div>
      <aside className="flex flex-col gap-6">
        <section className="border-t-[3px] border-ink pt-3">
          <h2 className="mb-3 text-lg">
            {finding ? "Decide on what was found" : "Found something?"}
          </h2>
          <FindingForm
            key={finding?.id ?? `new ${here.findings.length}`}
            action={saveFinding.bind(null, homeId, {
              visitId,
              unitId,
              findingId: finding?.id ?? null,
            })}
            initial={emptyForm(findingFieldsOf(snapshot, finding))}
            parts={partNames}
            currency={currency}
            isNew={!finding}
            pictures={finding ? null : { to: `/api/v1/homes/${homeId}/photos`, about: { visitId } }}
          />
        </section>
        {here.findings.length > 0 && (
          <section className="border-t-[3px] border-ink pt-3">
            <h2 className="text-lg">Found so far</h2>
            {here.findings.map(({ id, words }) => (
              <div key={id} className="border-b border-rule py-2">
                <p className="font-semibold">{words}</p>
                <PictureShelf
                  homeId={homeId}
                  about={{ visitId, findingId: id }}
                  pictures={pictures.filter(({ findingId }) => findingId === id)}
                  words={words}
                />
              </div>
            ))}
          </section>
        )}
      </aside>
    </div>
  );
}
