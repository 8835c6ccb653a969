import { Link } from "@/ui/link";
import type { ReactNode } from "react";
import { unitKind } from "@/content/unit-kinds";
import type { SetUpStep, Unit } from "@/core/inventory/inventory";
import { asksForPast } from "./set-up-past";
import { STEP_WORDS, stepsOf, whenLastHref } from "./set-up";

/** One step of entering a unit: the question, where one is, and what to take a picture of. */
export function SetUpFrame({
  homeId,
  unit,
  step,
  later,
  pictures,
  children,
}: {
  homeId: string;
  unit: Unit;
  step: SetUpStep;
  /** Where the rest is left for another day: the walk that is under way; null where there is none. */
  later: string | null;
  /** Those taken of it, and the press to take one. */
  pictures: ReactNode;
  children: ReactNode;
}) {
  const steps = stepsOf(unit.kind);
  const hasLast = asksForPast(unit.kind);
  const at = steps.indexOf(step);
  const sheet = `/homes/${homeId}/units/${unit.id}`;
  const { photograph, name } = unitKind(unit.kind);
  return (
    <div className="grid gap-x-12 gap-y-6 wide:grid-cols-[minmax(0,1fr)_17rem]">
      <div className="min-w-0">
        <p className="text-second">
          {unit.name}: step {at + 1} of {steps.length + (hasLast ? 1 : 0)}
        </p>
        <h1 className="text-[1.75rem]">{STEP_WORDS[step].question}</h1>
        <nav aria-label="Steps" className="mt-3 mb-5 overflow-x-auto">
          <ol className="flex">
            {steps.map((each, i) => (
              <li key={each} className="grow">
                <Link
                  href={`${sheet}/set-up/${each}`}
                  aria-current={each === step ? "step" : undefined}
                  data-passed={i < at || undefined}
                  className="flex min-h-11 items-end border-b-4 border-rule pr-3 pb-1.5 text-[0.9375rem] whitespace-nowrap text-second no-underline aria-[current=step]:border-attention aria-[current=step]:font-semibold aria-[current=step]:text-ink data-passed:border-ink"
                >
                  {STEP_WORDS[each].name}
                </Link>
              </li>
            ))}
            {hasLast && (
              <li className="grow">
                <Link
                  href={whenLastHref(homeId, unit.id)}
                  className="flex min-h-11 items-end border-b-4 border-rule pr-3 pb-1.5 text-[0.9375rem] whitespace-nowrap text-second no-underline"
                >
                  Last done
                </Link>
              </li>
            )}
          </ol>
        </nav>
        {children}
      </div>
      <aside className="flex flex-col gap-4">
        <section className="border-t-[3px] border-ink pt-3">
          <h2 className="text-lg">Worth a picture</h2>
          <p className="text-second">While you stand before the {name.toLowerCase()}:</p>
          <ul className="mt-1.5 list-disc pl-5">
            {photograph.map((what) => (
              <li key={what}>{what}</li>
            ))}
          </ul>
          <div className="mt-2">{pictures}</div>
        </section>
        <p className="text-second">
          What you type is kept as you go.{" "}
          <Link href={later ?? sheet} className="text-link underline underline-offset-4">
            Leave the rest for later
          </Link>
        </p>
      </aside>
    </div>
  );
}
