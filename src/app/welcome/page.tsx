import { LinkButton } from "@/ui/button";
import { UnitFigure } from "@/ui/unit-figure";

export default function Welcome() {
  return (
    <main className="mx-auto max-w-3xl px-4 py-16">
      <p className="font-display text-xl font-bold">
        Amber <span className="text-attention-text">Lintel</span>
      </p>
      <div className="mt-6 border-t-[6px] border-ink pt-6">
        <h1 className="text-4xl">When is the filter due, here, and why?</h1>
        <p className="mt-4 max-w-prose text-lg">
          Tell it your climate, who lives with you and which machines you have. It works out how
          long they run, how fast their filters fill, and leads you through the change, step by
          step.
        </p>
        <div className="mt-8 flex items-end gap-6">
          <LinkButton weight="strong" href="/homes/new" className="px-6 text-lg">
            Enter your home
          </LinkButton>
          <UnitFigure figure="furnace" />
          <UnitFigure figure="ventilator" />
          <UnitFigure figure="cylinder" />
        </div>
      </div>
    </main>
  );
}
