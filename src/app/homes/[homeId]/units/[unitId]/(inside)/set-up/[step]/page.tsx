import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { SetUpFrame } from "@/features/inventory/guided-add/set-up-frame";
import {
  PartsStep,
  PlaceStep,
  PlateStep,
  ShutOffStep,
} from "@/features/inventory/guided-add/set-up-forms";
import {
  partnersOf,
  stepFieldsOf,
  unitPageOf,
  type UnitPage,
} from "@/features/inventory/units/unit-pages";
import { nextHref, stepAfter, stepsOf } from "@/features/inventory/guided-add/set-up";
import {
  keepTyped,
  saveParts,
  savePlace,
  savePlate,
  saveShutOffs,
} from "@/features/inventory/guided-add/set-up-actions";
import { QuickSlotsForm } from "@/features/inventory/guided-add/quick-slots-form";
import { saveFilters } from "@/features/inventory/guided-add/quick-slot-actions";
import {
  quickFieldsOf,
  quickSlotsOf,
  slotsToAsk,
} from "@/features/inventory/guided-add/quick-slots";
import { PictureShelf } from "@/features/inventory/units/picture-shelf";
import { listPicturesOf } from "@/features/inventory/units/picture-queries";
import { walkUnderWay } from "@/features/inventory/walk/walk-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Enter a unit" };

export default async function SetUp({
  params,
}: PageProps<"/homes/[homeId]/units/[unitId]/set-up/[step]">) {
  const { homeId, unitId, step: wanted } = await params;
  const page = await unitPageOf(homeId, unitId);
  const step = page && stepsOf(page.unit.kind).find((each) => each === wanted);
  if (!page || !step) notFound();
  const walk = await walkUnderWay(homeId);
  return (
    <SetUpFrame
      homeId={homeId}
      unit={page.unit}
      step={step}
      later={walk ? `/homes/${homeId}/walk` : null}
      pictures={
        <PictureShelf
          homeId={homeId}
          about={{ unitId }}
          pictures={await listPicturesOf(unitId)}
          words={page.unit.name}
        />
      }
    >
      <StepForm key={step} {...{ homeId, page, step }} />
    </SetUpFrame>
  );
}

async function StepForm({
  homeId,
  page,
  step,
}: {
  homeId: string;
  page: UnitPage;
  step: ReturnType<typeof stepsOf>[number];
}) {
  const { snapshot: book, unit, today } = page;
  const initial = emptyForm(await stepFieldsOf(page, step));
  const common = { initial, keep: keepTyped.bind(null, homeId, unit.id, step), kind: unit.kind };
  switch (step) {
    case "plate":
      return <PlateStep {...common} action={savePlate.bind(null, homeId, unit.id)} today={today} />;
    case "place":
      return (
        <PlaceStep
          {...common}
          action={savePlace.bind(null, homeId, unit.id)}
          levels={book.levels}
          rooms={book.rooms}
          partners={partnersOf(page)}
        />
      );
    case "shut-off":
      return <ShutOffStep {...common} action={saveShutOffs.bind(null, homeId, unit.id)} />;
    case "filters": {
      const next = stepAfter(unit.kind, step);
      const href = nextHref(homeId, unit, step);
      return (
        <QuickSlotsForm
          keep={common.keep}
          action={saveFilters.bind(null, homeId, unit.id, { step: next, href })}
          initial={emptyForm(quickFieldsOf(slotsToAsk(unit, book), initial.values))}
          {...quickSlotsOf(page)}
        />
      );
    }
    case "parts":
      return <PartsStep {...common} action={saveParts.bind(null, homeId, unit.id)} />;
  }
}
