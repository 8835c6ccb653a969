import { Link } from "@/ui/link";
import { RemoveLink } from "../trash/remove-link";
import type { SettingRow } from "./settings-queries";

/** How everything is set when all is as it should be, machine by machine: to read and to print. */
export function SettingsSheet({ homeId, rows }: { homeId: string; rows: readonly SettingRow[] }) {
  if (rows.length === 0)
    return (
      <p className="max-w-prose text-second">
        Nothing yet. Jobs note here how things stood before they touched them: a thermostat’s
        schedule, a damper, the mark of a room valve. Add what you know already.
      </p>
    );
  const places = [...new Set(rows.map(({ place }) => place))];
  return (
    <div className="flex flex-col gap-5">
      {places.map((place) => (
        <section key={place} className="break-inside-avoid">
          <h2 className="border-b-[3px] border-ink text-lg">{place}</h2>
          <dl>
            {rows
              .filter((row) => row.place === place)
              .map((row) => (
                <Row key={row.id} {...{ homeId, row }} />
              ))}
          </dl>
        </section>
      ))}
    </div>
  );
}

function Row({
  homeId,
  row: { id, label, value, noted, isParked },
}: {
  homeId: string;
  row: SettingRow;
}) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-4 border-b border-rule py-2 wide:grid-cols-[11rem_minmax(0,1fr)_auto]">
      <dt className="text-second">{label}</dt>
      <dd className="col-start-1 wide:col-start-2">
        <strong className="text-lg">{value}</strong>
        <span className="block text-second wide:ml-3 wide:inline">
          {isParked ? "when it is woken: laid by for the season" : `noted ${noted}`}
        </span>
      </dd>
      <dd className="no-print col-start-2 row-span-2 row-start-1 flex wide:col-start-3">
        <Link
          href={`/homes/${homeId}/as-it-should-be?change=${id}`}
          aria-label={`Change: ${label}`}
          className="flex min-h-11 items-center px-2 text-link"
        >
          Change
        </Link>
        <RemoveLink target={{ kind: "setting", homeId, id }} name={label} />
      </dd>
    </div>
  );
}
