import { Link } from "@/ui/link";
import type { ReactNode } from "react";
import { dateWords, inSentence, listWords } from "@/core/quantities/words";
import { LinkButton } from "@/ui/button";
import type { TechnicianPage, VisitDay } from "./technician-queries";

/** A technician’s days over all homes, and for each a letter that asks for three. */
export function TechnicianView({
  homeId,
  page,
  send,
}: {
  homeId: string;
  page: TechnicianPage;
  send: (day: VisitDay) => ReactNode;
}) {
  const { days, today, homes } = page;
  return (
    <>
      <Link href={`/homes/${homeId}/year`} className="flex min-h-11 items-center text-link">
        The year
      </Link>
      <h1 className="mb-1 text-[1.75rem]">Technician’s days</h1>
      <p className="mb-5 max-w-prose text-second">
        What only a licensed person may do, bundled so that a call-out is paid for few times
        {homes > 1 ? `, over all ${homes} homes` : ""}.
      </p>
      {days.length === 0 && (
        <p className="text-lg">Nothing within a year is for a licensed person alone.</p>
      )}
      <ul>
        {days.map((visit) => (
          <li
            key={visit.day}
            className="grid gap-x-12 gap-y-3 border-t-[3px] border-ink py-4 wide:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]"
          >
            <div>
              <h2 className="text-xl">
                {dateWords(visit.day, today)}
                <span className="figures font-sans text-base font-normal text-second">
                  {" "}
                  {visit.minutes} minutes of work{visit.isAgreed ? ", agreed" : ""}
                </span>
              </h2>
              {visit.homes.map((home) => (
                <div key={home.id} className="mt-2">
                  <h3 className="font-sans font-semibold">{home.name}</h3>
                  <ul>
                    {home.units.map((unit) => (
                      <li key={unit.id} className="border-b border-rule py-1.5">
                        {unit.name}: {listWords(unit.jobs.map(inSentence))}
                      </li>
                    ))}
                  </ul>
                </div>
              ))}
            </div>
            <div className="flex flex-col items-start gap-3">
              {!visit.isAgreed && (
                <p>
                  Days to ask for:{" "}
                  <strong>{visit.asked.map(({ words }) => words).join(", ")}</strong>
                </p>
              )}
              <details className="w-full">
                <summary className="min-h-11 py-2 text-link">The text to send</summary>
                <pre className="border-l-[6px] border-ink bg-surface px-4 py-3 font-sans whitespace-pre-wrap">
                  {visit.text}
                </pre>
              </details>
              {send(visit)}
              {!visit.isAgreed &&
                visit.homes.map((home) => (
                  <LinkButton
                    key={home.id}
                    weight="quiet"
                    href={`/homes/${home.id}/visits/new?on=${visit.day}&units=${home.units.map(({ id }) => id).join(",")}`}
                  >
                    Enter the visit at {home.name}
                  </LinkButton>
                ))}
            </div>
          </li>
        ))}
      </ul>
    </>
  );
}
