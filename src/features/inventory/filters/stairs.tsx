import { Link } from "@/ui/link";
import { TableBehind } from "@/ui/table-behind";
import type { Staircase, Step } from "./staircase";

/** The way from the book's day to the likely one, a step a cause; pressing a step says what it is. */
export function Stairs({ staircase, title }: { staircase: Staircase; title: string }) {
  const { top, foot, steps, measure } = staircase;
  return (
    <section aria-labelledby="stairs">
      <h2 id="stairs" className="border-b-[3px] border-ink pb-1 text-xl">
        {title}
      </h2>
      <div className="pt-3">
        <Landing {...top} />
        <ol>
          {steps.map((step, i) => (
            <li key={i}>
              <Tread step={step} next={steps[i + 1]} />
            </li>
          ))}
        </ol>
        <Landing {...foot} isFoot />
      </div>
      <TableBehind
        heads={["Cause", measure === "days" ? "Brings it nearer by" : "Adds", "What it is"]}
      >
        <tr className="border-b border-rule">
          <td className="py-1 pr-4" colSpan={3}>
            {top.words}
          </td>
        </tr>
        {steps.map((step, i) => (
          <tr key={i} className="border-b border-rule align-top">
            <td className="py-1 pr-4">{step.words}</td>
            <td className="py-1 pr-4 whitespace-nowrap">{step.amount}</td>
            <td className="py-1">{step.what}</td>
          </tr>
        ))}
        <tr>
          <td className="py-1 pr-4" colSpan={3}>
            {foot.words}
          </td>
        </tr>
      </TableBehind>
    </section>
  );
}

/** The day the stairs begin at, or lead to. */
function Landing({ words, at, isFoot = false }: { words: string; at: number; isFoot?: boolean }) {
  const isRight = at > 50;
  return (
    <div aria-hidden="true" className="relative h-8 wide:mr-24 wide:ml-52">
      <span
        style={{ left: `${at}%` }}
        className={`absolute border-l-2 border-ink ${isFoot ? "top-0 h-3" : "bottom-0 h-3"}`}
      />
      <span
        style={isRight ? { right: `${100 - at}%` } : { left: `${at}%` }}
        className={`absolute px-2 text-[0.9375rem] whitespace-nowrap ${isFoot ? "bottom-0 font-bold" : "top-0 text-second"}`}
      >
        {words}
      </span>
    </div>
  );
}

function Tread({ step, next }: { step: Step; next: Step | undefined }) {
  const [left, right] = [Math.min(step.from, step.to), Math.max(step.from, step.to)];
  return (
    <details className="group">
      <summary className="grid min-h-11 cursor-pointer list-none grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 wide:grid-cols-[12rem_minmax(0,1fr)_5rem] [&::-webkit-details-marker]:hidden">
        <span className="underline decoration-rule underline-offset-4 group-open:font-semibold">
          {step.words}
        </span>
        <span className="figures text-right whitespace-nowrap wide:order-3">{step.amount}</span>
        <span
          aria-hidden="true"
          className="relative col-span-2 h-5 wide:order-2 wide:col-span-1 wide:h-11"
        >
          <span
            style={{ left: `${left}%`, width: `${right - left}%` }}
            className={`absolute top-1/2 h-4 -translate-y-1/2 ${
              step.isNearer ? "bg-amber" : "border-2 border-ink bg-surface"
            }`}
          />
          {next && (
            <span
              style={{ left: `${step.to}%` }}
              className="absolute top-1/2 hidden h-full border-l-2 border-dotted border-second wide:block"
            />
          )}
        </span>
      </summary>
      <p className="border-l-4 border-rule bg-surface px-4 py-2.5">
        {step.what}{" "}
        {step.change && (
          <Link href={step.change.href} className="text-link underline underline-offset-4">
            {step.change.words}
          </Link>
        )}
      </p>
    </details>
  );
}
