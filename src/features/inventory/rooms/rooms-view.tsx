import { Link } from "@/ui/link";
import type { ReactNode } from "react";
import { Needle } from "@/ui/needle";
import type { RoomRow, RoomsPage } from "./rooms-queries";
import { RegisterToggle } from "./register-toggle";

/** Level by level, the rooms with what stands and opens in them. */
export function RoomsView({
  page,
  remove,
}: {
  page: RoomsPage;
  /** The button that takes a room or a register out of the list. */
  remove: (target: { kind: "room" | "register"; id: string; name: string }) => ReactNode;
}) {
  const { snapshot: book, levels, rule, alarms } = page;
  return (
    <div>
      {rule && (
        <p className="flex items-center gap-3 border-t-[3px] border-ink py-3 text-[1.0625rem]">
          <Needle verdict={rule.verdict} />
          {rule.words}
        </p>
      )}
      {alarms && (
        <p className="flex items-center gap-3 border-t border-rule py-3">
          <Needle verdict="act" />
          {alarms}
        </p>
      )}
      {levels.map(({ level, rooms }) => (
        <section key={level.id} className="border-t-[3px] border-ink pt-2.5 pb-4">
          <h2 className="text-lg">{level.name}</h2>
          {rooms.length === 0 && <p className="py-1.5 text-second">No room entered here.</p>}
          <ul>
            {rooms.map((row) => (
              <RoomItem key={row.room.id} {...{ row, remove }} homeId={book.home.id} />
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

function RoomItem({
  row: { room, registers, units },
  homeId,
  remove,
}: {
  row: RoomRow;
  homeId: string;
  remove: Parameters<typeof RoomsView>[0]["remove"];
}) {
  const counts = { supply: 0, return: 0 };
  return (
    <li className="grid items-start gap-x-6 border-t border-rule py-1.5 wide:grid-cols-[13rem_minmax(0,1fr)_auto]">
      <div className="py-2">
        <strong>{room.name}</strong>
        {room.sleeps && <span className="text-second">, a bedroom</span>}
        {units.map((unit) => (
          <Link
            key={unit.id}
            href={`/homes/${homeId}/units/${unit.id}`}
            className="block text-[0.9375rem] text-link"
          >
            {unit.name}
          </Link>
        ))}
      </div>
      <ul className="flex flex-wrap gap-x-6">
        {registers.map((register) => {
          const nth = ++counts[register.role];
          const many = registers.filter((each) => each.role === register.role).length > 1;
          const name =
            register.place ??
            `${register.role === "supply" ? "register" : "return"}${many ? ` ${nth}` : ""}`;
          return (
            <li key={register.id} className="flex items-center">
              <RegisterToggle {...{ homeId, register, name }} />
              {remove({ kind: "register", id: register.id, name: `${room.name}, ${name}` })}
            </li>
          );
        })}
      </ul>
      <div className="flex">
        <Link
          href={`/homes/${homeId}/rooms?change=${room.id}`}
          aria-label={`Change: ${room.name}`}
          className="flex min-h-11 items-center px-2 text-link"
        >
          Change
        </Link>
        {remove({ kind: "room", id: room.id, name: room.name })}
      </div>
    </li>
  );
}
