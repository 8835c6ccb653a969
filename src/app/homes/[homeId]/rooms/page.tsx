import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { RemoveLink } from "@/features/inventory/trash/remove-link";
import { LevelForm, RegisterForm, RoomForm } from "@/features/inventory/rooms/room-forms";
import { RoomsView } from "@/features/inventory/rooms/rooms-view";
import { addLevel, addRegister, saveRoom } from "@/features/inventory/rooms/rooms-actions";
import { fieldsOfRoom, roomsOf } from "@/features/inventory/rooms/rooms-queries";
import { emptyForm } from "@/lib/forms";

export const metadata: Metadata = { title: "Rooms and registers" };

export default async function RoomsPage({
  params,
  searchParams,
}: PageProps<"/homes/[homeId]/rooms">) {
  const { homeId } = await params;
  const { change, room: last } = await searchParams;
  const page = await roomsOf(homeId);
  if (!page) notFound();
  const { levels, rooms } = page.snapshot;
  const changed = rooms.find((room) => room.id === change);
  return (
    <>
      <h1 className="text-[1.75rem]">Rooms and registers</h1>
      <p className="mb-4 text-second">Where air comes in and goes back, and where people sleep.</p>
      <div className="grid gap-x-12 gap-y-8 wide:grid-cols-[minmax(0,1fr)_20rem]">
        <RoomsView
          page={page}
          remove={({ kind, id, name }) => <RemoveLink target={{ kind, homeId, id }} name={name} />}
        />
        <div className="flex flex-col gap-6">
          <section className="border-t-[3px] border-ink pt-3">
            <h2 className="mb-3 text-xl">{changed ? "Change the room" : "Add a room"}</h2>
            <RoomForm
              key={changed?.id ?? `new ${rooms.length}`}
              action={saveRoom.bind(null, homeId, changed?.id ?? null)}
              initial={emptyForm(
                changed
                  ? fieldsOfRoom(changed)
                  : { levelId: [rooms.at(-1)?.levelId ?? levels[0]?.id ?? ""] },
              )}
              levels={levels}
              isNew={!changed}
            />
          </section>
          {rooms.length > 0 && (
            <section className="border-t-[3px] border-ink pt-3">
              <h2 className="mb-3 text-xl">Add a register</h2>
              <RegisterForm
                key={page.snapshot.registers.length}
                action={addRegister.bind(null, homeId)}
                initial={emptyForm({
                  roomId: [typeof last === "string" ? last : rooms.at(-1)!.id],
                  role: ["supply"],
                })}
                rooms={rooms}
              />
            </section>
          )}
          <section className="border-t-[3px] border-ink pt-3">
            <h2 className="mb-3 text-xl">Add a level</h2>
            <LevelForm
              key={levels.length}
              action={addLevel.bind(null, homeId)}
              initial={emptyForm({ place: ["inside"] })}
            />
          </section>
        </div>
      </div>
    </>
  );
}
