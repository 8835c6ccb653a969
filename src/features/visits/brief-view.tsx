import type { ReactNode } from "react";
import { SHUT_OFF_WORDS } from "@/content/words";
import { unitKind } from "@/content/unit-kinds";
import { dateWords, dayAndMonth, inSentence } from "@/core/quantities/words";
import { plateWords } from "@/core/inventory/inventory";
import { offWords } from "@/presentation/shut-off-words";
import { slotTitle } from "@/presentation/slot-words";
import { partNumbers } from "@/presentation/identity-words";
import { likelyWords } from "./likely-words";
import { figureOf, readLines, type VisitPage } from "./visit-queries";

/** What a technician wants to know before setting out: on one sheet, to print or to send. */
export function BriefView({ page }: { page: VisitPage }) {
  const { snapshot, today, visit, row, units, due, deferred, likely } = page;
  const lines = readLines(snapshot, visit.unitIds, today);
  return (
    <article className="max-w-4xl">
      <h1 className="text-[1.75rem]">{snapshot.home.name}: brief for a visit</h1>
      <p className="mt-1">
        {row.why}, {visit.on ? dateWords(visit.on, today) : "no day yet"}; {row.who}.
        {snapshot.home.localRules && ` ${snapshot.home.localRules}`}
      </p>
      {likely.length > 0 && (
        <Part title="Please bring">
          <ul>
            {likely.map((part) => (
              <li key={part.part.id} className="border-b border-rule py-1.5">
                <strong>
                  {part.part.name}
                  {partNumbers(part.part) && `, ${partNumbers(part.part)}`}
                </strong>
                : {likelyWords(part, today)}
              </li>
            ))}
          </ul>
        </Part>
      )}
      {units.map(({ unit }) => {
        const slots = snapshot.slots.filter((slot) => slot.unitId === unit.id);
        const read = lines.find(({ unitId }) => unitId === unit.id)?.lines ?? [];
        const level = snapshot.levels.find(({ id }) => id === unit.levelId)?.name;
        const room = snapshot.rooms.find(({ id }) => id === unit.roomId)?.name;
        const tools = [...slots, ...snapshot.parts.filter(({ unitId }) => unitId === unit.id)];
        const facts: [string, string | undefined][] = [
          [
            "Plate",
            [unitKind(unit.kind).name, plateWords(unit), unit.serial].filter(Boolean).join(", "),
          ],
          ["Where", [level, room].filter(Boolean).join(", ")],
          ["To get at it", unit.access],
          ["Refrigerant", unit.refrigerant],
          ["Papers", unit.papers],
          [
            "Shut off",
            unit.shutOffs
              .map((off) => `${SHUT_OFF_WORDS[off.kind]}: ${off.place}, ${offWords(off)}`)
              .join("; "),
          ],
          ["Filters", slots.map((slot) => slotTitle(slot)).join("; ")],
          [
            "Its own tool",
            tools
              .flatMap(({ identity }) =>
                identity?.tool
                  ? [`${identity.tool}${identity.toolHangs ? `, hangs ${identity.toolHangs}` : ""}`]
                  : [],
              )
              .join("; "),
          ],
          [
            "Due",
            due
              .filter(({ task }) => task.unitId === unit.id)
              .map(({ task, due: day }) => `${inSentence(task.name)} (${dayAndMonth(day!, today)})`)
              .join("; "),
          ],
        ];
        return (
          <Part key={unit.id} title={unit.name}>
            <dl className="grid grid-cols-[7.5rem_minmax(0,1fr)] gap-x-4">
              {facts
                .filter(([, words]) => words)
                .map(([name, words]) => (
                  <div
                    key={name}
                    className="col-span-2 grid grid-cols-subgrid border-b border-rule py-1.5"
                  >
                    <dt className="text-second">{name}</dt>
                    <dd>{words}</dd>
                  </div>
                ))}
            </dl>
            {read.length > 0 && (
              <table className="mt-3 w-full text-left">
                <caption className="sr-only">
                  Readings of {unit.name}, the last and those before
                </caption>
                <thead>
                  <tr className="text-second">
                    <th scope="col" className="font-normal">
                      Read
                    </th>
                    <th scope="col" className="font-normal">
                      Last
                    </th>
                    <th scope="col" className="font-normal">
                      Before
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {read.map(({ name, kind, now, before }) => (
                    <tr key={`${name} ${kind}`} className="figures border-t border-rule align-top">
                      <th scope="row" className="py-1.5 pr-4 font-semibold">
                        {name}
                      </th>
                      <td className="py-1.5 pr-4 whitespace-nowrap">
                        {figureOf(snapshot, now)} ({dayAndMonth(now.event.date, today)})
                      </td>
                      <td className="py-1.5">
                        {before
                          .map(
                            (each) =>
                              `${figureOf(snapshot, each)} (${dayAndMonth(each.event.date, today)})`,
                          )
                          .reverse()
                          .join(", ")}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
          </Part>
        );
      })}
      {deferred.length > 0 && (
        <Part title="Put off before">
          <ul>
            {deferred.map(({ id, words, advice, until }) => (
              <li key={id} className="border-b border-rule py-1.5">
                {[words, advice, until && `until ${dateWords(until, today)}`]
                  .filter(Boolean)
                  .join("; ")}
              </li>
            ))}
          </ul>
        </Part>
      )}
      {visit.questions && (
        <Part title="We want to ask">
          <p className="whitespace-pre-line">{visit.questions}</p>
        </Part>
      )}
    </article>
  );
}

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <section className="mt-5 break-inside-avoid">
    <h2 className="border-b-[3px] border-ink text-lg">{title}</h2>
    {children}
  </section>
);
