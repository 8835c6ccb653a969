import type { ReactNode } from "react";
import { exampleOf } from "@/presentation/example";
import { awayWords, bandWords, spanWords } from "@/core/quantities/words";
import { Gauge } from "@/ui/gauge";
import { LinkButton } from "@/ui/button";
import { UnitFigure } from "@/ui/unit-figure";
import { UrgentLink } from "@/ui/urgent-link";

const DOES = [
  {
    name: "Says when, here",
    words:
      "From your climate and your machines it works out the hours they run, and from those how fast each filter fills: a day, the days around it, and why.",
  },
  {
    name: "Leads you through it",
    words:
      "Step by step, with what to bring, what to shut off, and the way back. Nothing comes back on while something is open.",
  },
  {
    name: "Remembers and judges",
    words:
      "Every look, reading and visit is kept at its part, judged as you type it, and read for where it is going.",
  },
] as const;

/** What the tool does, by an example, and where data lives; with copies to put back, if there are any. */
export function WelcomeView({ hasHome, copies }: { hasHome: boolean; copies: ReactNode }) {
  return (
    <main className="mx-auto max-w-5xl px-4 py-8 wide:py-14">
      <div className="flex items-center justify-between gap-4">
        <p className="font-display text-xl font-bold">
          Amber <span className="text-attention-text">Lintel</span>
        </p>
        <UrgentLink href="/emergency">Emergency</UrgentLink>
      </div>
      <div className="mt-4 border-t-[6px] border-ink pt-5 wide:mt-6 wide:pt-6">
        <div className="flex flex-wrap items-end justify-between gap-x-10 gap-y-4">
          <h1 className="max-w-2xl text-[1.75rem] wide:text-4xl">
            When is the filter due, here, and why?
          </h1>
          <div className="hidden items-end gap-6 wide:flex">
            <UnitFigure figure="furnace" />
            <UnitFigure figure="ventilator" />
            <UnitFigure figure="cylinder" />
          </div>
        </div>
        <div className="mt-5 flex flex-wrap gap-3">
          <LinkButton weight="strong" href="/homes/new" className="px-6 text-lg">
            Enter your home
          </LinkButton>
          {hasHome && <LinkButton href="/">Back to Today</LinkButton>}
        </div>
        <p className="mt-2 text-second">
          Ten minutes: your climate, who lives with you, and one machine with the size printed on
          its filter.
        </p>
        {copies}
        <Example />
        <ul className="mt-8 grid gap-x-10 gap-y-5 wide:grid-cols-3">
          {DOES.map(({ name, words }) => (
            <li key={name} className="border-t-[3px] border-ink pt-2.5">
              <h2 className="text-lg">{name}</h2>
              <p className="mt-1">{words}</p>
            </li>
          ))}
        </ul>
        <p className="mt-8 border-l-4 border-ink bg-surface px-4 py-2.5">
          <strong>Your data stays here.</strong> Everything lies in one file on the computer this
          runs on. Nothing is sent anywhere; a copy of it is one press in the menu.
        </p>
      </div>
    </main>
  );
}

/** One line of Today, as it reads once a furnace is entered. */
function Example() {
  const { today, early, likely, late, percentNow, lasts } = exampleOf();
  const share = (percent: number) => percent / 100;
  return (
    <figure className="mt-7 border-[1.5px] border-rule bg-surface px-4 py-3">
      <figcaption className="text-second">
        What it says for a furnace in a cold January, two dogs in the house:
      </figcaption>
      <div className="mt-2 grid grid-cols-[2.25rem_minmax(0,1fr)] items-center gap-x-4 gap-y-1 wide:grid-cols-[2.25rem_minmax(0,1fr)_auto]">
        <Gauge fill={share(percentNow)} label={`${Math.round(percentNow)} % full`} />
        <p>
          <strong className="block">Furnace, filter 16×25×1, MERV 8</strong>
          <span className="text-second">
            Such a filter lasts {spanWords(lasts.winter)} in this winter, and{" "}
            {spanWords(lasts.summer)} from May on.
          </span>
        </p>
        <p className="figures col-start-2 wide:col-start-3 wide:text-right">
          <strong className="wide:block">{awayWords(likely, today)}</strong>{" "}
          <span className="text-[0.9375rem] text-second">{bandWords(early, late, today)}</span>
        </p>
      </div>
    </figure>
  );
}
