import dynamic from "next/dynamic";
import { DIRECTION_WORDS } from "@/content/words";
import { sizeAsPrinted, slotTitle } from "@/presentation/slot-words";
import type { Step } from "@/core/runs/procedure";
import type { RunState } from "@/core/runs/run-state";
import type { ShutOffKind } from "@/core/inventory/inventory";
import { FlowArrow } from "@/ui/flow-arrow";
import { PictureFigure } from "@/ui/picture";
import type { RunWith } from "../guide/run-with";
import { ShutOffLines } from "../safety/shut-off-lines";

const NO_ISOLATOR: readonly ShutOffKind[] = ["gas-cock", "water-valve"];

const DilutionSheet = dynamic(() => import("./step-bench").then((bench) => bench.DilutionSheet));
const DoseSheet = dynamic(() => import("./step-bench").then((bench) => bench.DoseSheet));
const FitSheet = dynamic(() => import("./step-bench").then((bench) => bench.FitSheet));
const WrapSheet = dynamic(() => import("./step-bench").then((bench) => bench.WrapSheet));

/** What the inventory or a calculator knows that helps with the step at hand. */
export function StepHelp({
  step,
  known,
  photos,
}: {
  step: Step;
  known: RunWith;
  photos: RunState["photos"];
}) {
  const { unit, slot, dateToday, system } = known;
  switch (step.shows) {
    case "shut-off":
      return !unit || unit.shutOffs.length === 0 ? null : (
        <ShutOffLines shutOffs={unit.shutOffs.filter(({ kind }) => !NO_ISOLATOR.includes(kind))} />
      );
    case "size":
      return slot ? <Fact>{slotTitle(slot)}</Fact> : null;
    case "fit":
      return (
        slot && (
          <>
            <Fact>{slotTitle(slot)}</Fact>
            <FitSheet slot={slot} system={system} />
          </>
        )
      );
    case "direction":
      return !slot || slot.direction === "unknown" ? (
        <Fact>The way you drew it: toward the side that drew the paper in.</Fact>
      ) : (
        <div className="flex items-center gap-5">
          <FlowArrow direction={slot.direction} />
          <p>
            Here: {DIRECTION_WORDS[slot.direction]}
            {slot.directionMark && `. ${slot.directionMark}`}
          </p>
        </div>
      );
    case "label":
      return (
        <Fact>
          {dateToday}
          {slot && `, ${sizeAsPrinted(slot.nominal.text)}`}
        </Fact>
      );
    case "indicator":
      return slot?.indicatorReset ? <Fact>{slot.indicatorReset}</Fact> : null;
    case "photos": {
      const before = photos.filter(({ moment }) => moment === "before");
      return before.length === 0 ? null : (
        <figure>
          <figcaption className="text-[1.125rem] text-second">As it was before</figcaption>
          <div className="mt-1 flex flex-wrap gap-3">
            {before.map(({ photo }) => (
              <PictureFigure key={photo} id={photo} words="As it was before" />
            ))}
          </div>
        </figure>
      );
    }
    case "dilution":
      return <DilutionSheet system={system} />;
    case "wrap":
      return <WrapSheet slot={slot} />;
    case "dose":
      return <DoseSheet system={system} />;
    case undefined:
      return null;
  }
}

function Fact({ children }: { children: React.ReactNode }) {
  return <p className="figures border-y-2 border-ink py-2.5 font-semibold">{children}</p>;
}
