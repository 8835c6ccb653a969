import { PART_KIND_IDS, partKind } from "@/content/part-kinds";
import type { Part, Room } from "@/core/inventory/inventory";
import type { UnitSystem } from "@/core/quantities/length";
import type { PlainDate } from "@/core/quantities/plain-date";
import { ofReader } from "@/lib/forms";
import { readUnitAttributes } from "../units/unit-form";

type PartContext = {
  /** Of a part that is there already; a new one is of the kind the form says. */
  kind?: string | undefined;
  rooms: readonly Room[];
  system: UnitSystem;
  today: PlainDate;
};

/** A part of any kind but a filter slot: its name, where it is, what its kind is asked. */
export const partForm = ({ kind: before, rooms, system, today }: PartContext) =>
  ofReader<Omit<Part, "id" | "unitId">>((typed) => {
    const text = (name: string) => (typed[name]?.[0] ?? "").trim();
    const kind = before ?? PART_KIND_IDS.find((id) => id === text("kind")) ?? "";
    const asked = kind === "" ? [] : (partKind(kind).attributes ?? []);
    const read = readUnitAttributes(asked, typed, system, today);
    const problems = { ...read.problems };
    const [name, place, note] = [text("name"), text("place"), text("note")];
    if (kind === "") problems["kind"] = "Choose what it is.";
    if (name === "") problems["name"] = "Give it a name.";
    if (name.length > 60) problems["name"] = "A shorter name, please: up to 60 letters.";
    if (place.length > 300) problems["place"] = "Shorter, please: up to 300 letters.";
    if (note.length > 1000) problems["note"] = "Shorter, please: up to 1000 letters.";
    const room = rooms.find((each) => each.id === text("roomId"));
    return {
      values: {
        kind,
        name,
        attributes: read.values,
        ...(place ? { place } : {}),
        ...(room ? { roomId: room.id } : {}),
        ...(note ? { note } : {}),
      },
      problems,
    };
  });
