import { DIRECTION_WORDS, SHUT_OFF_WORDS } from "@/content/words";
import { sizeAsPrinted, slotTitle } from "@/content/slot-words";
import type { Step } from "@/core/procedures/procedure";
import type { FilterSlot, Unit } from "@/core/register/register";
import { FlowArrow } from "@/ui/flow-arrow";

/** What the register knows that helps with the step at hand. */
export function StepHelp({
  step,
  unit,
  slot,
  dateToday,
}: {
  step: Step;
  unit: Unit;
  slot: FilterSlot;
  dateToday: string;
}) {
  switch (step.shows) {
    case "shut-off":
      return unit.shutOffs.length === 0 ? null : (
        <ol className="max-w-[34rem] list-decimal border-b-[5px] border-amber bg-slate py-3 pr-4 pl-9 text-on-slate">
          {unit.shutOffs
            .filter((off) => off.kind !== "gas-cock" && off.kind !== "water-valve")
            .map((off) => (
              <li key={off.id}>
                {SHUT_OFF_WORDS[off.kind].name}: {off.place},{" "}
                {off.offPosition ?? SHUT_OFF_WORDS[off.kind].off}
              </li>
            ))}
        </ol>
      );
    case "size":
      return <Fact>{slotTitle(slot)}</Fact>;
    case "direction":
      return slot.direction === "unknown" ? (
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
          {dateToday}, {sizeAsPrinted(slot.nominal.text)}
        </Fact>
      );
    default:
      return null;
  }
}

function Fact({ children }: { children: React.ReactNode }) {
  return <p className="figures border-y-2 border-ink py-2.5 font-semibold">{children}</p>;
}
