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
const WrapLength = dynamic(() => import("./step-bench").then((bench) => bench.WrapLength));
const DuctPullSheet = dynamic(() => import("./step-bench").then((bench) => bench.DuctPullSheet));

/** Where the coil sits, by the way the air goes; a question of the machine. */
const POSITION_HELP: Readonly<Record<string, string>> = {
  upflow: "Here the air goes up: the coil sits above the burners. Look from above, cover below.",
  downflow:
    "Here the air goes down: the coil sits below the burners. Look from below; water cannot reach them.",
  horizontal: "Here the air goes sideways: the coil lies at one end. Look in from there.",
};

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
        <Fact>With the air: its arrow, or its finer side, toward the side the air leaves by.</Fact>
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
          {slot?.nominal && `, ${sizeAsPrinted(slot.nominal.text)}`}
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
      // Where the step keeps the width itself, its own sheet says how long.
      return slot && step.records?.kind !== "across" ? <WrapLength {...{ slot, system }} /> : null;
    case "dose":
      return <DoseSheet system={system} radiatorLitres={known.radiatorLitres} />;
    case "duct-pull":
      return <DuctPullSheet runs={known.ductRuns} system={system} />;
    case "position": {
      const words = POSITION_HELP[known.position ?? ""];
      return (
        <Fact>
          {words ?? "Above the burners, below them or at one end: look where the coil sits."}
        </Fact>
      );
    }
    case undefined:
      return null;
  }
}

function Fact({ children }: { children: React.ReactNode }) {
  return <p className="figures border-y-2 border-ink py-2.5 font-semibold">{children}</p>;
}
