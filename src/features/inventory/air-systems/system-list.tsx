import { Link } from "@/ui/link";
import { listWords, monthDayWords } from "@/core/quantities/words";
import type { SystemRow } from "../units/unit-pages";

const FAN_WORDS = {
  auto: "fan with heating and cooling",
  minimum: "fan some hours every day",
  continuous: "fan day and night",
} as const;

export function SystemList({ homeId, rows }: { homeId: string; rows: SystemRow[] }) {
  const air = rows.filter(({ movesAir }) => movesAir);
  if (air.length === 0)
    return <p className="text-second">None yet: they come with the units that run.</p>;
  return (
    <ul>
      {air.map(({ system, members }) => {
        const { heats, cools, fan, inUse } = system.equipment;
        const does = [heats && "heats", cools && "cools"].filter((each) => each !== false);
        return (
          <li key={system.id} className="border-t border-rule">
            <Link
              href={`/homes/${homeId}/systems/${system.id}`}
              className="group grid min-h-14 items-baseline gap-x-8 py-2.5 no-underline wide:grid-cols-[16rem_minmax(0,1fr)_20rem]"
            >
              <span className="font-semibold group-hover:underline">{system.name}</span>
              <span>
                {members.length === 1 && members[0]!.name === system.name
                  ? "on its own"
                  : listWords(members.map((unit) => unit.name))}
              </span>
              <span className="text-second">
                {[
                  does.length > 0 && listWords(does),
                  FAN_WORDS[fan.mode],
                  inUse?.[0] && `${monthDayWords(inUse[0].from)} to ${monthDayWords(inUse[0].to)}`,
                ]
                  .filter(Boolean)
                  .join(", ")}
              </span>
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
