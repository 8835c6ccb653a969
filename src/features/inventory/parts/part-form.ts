import type { UnitSystem } from "@/core/quantities/length";
import type { PartKind } from "@/content/part-kinds";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { Question } from "@/core/inventory/attribute";
import type { HomeBook, Part, Room } from "@/core/inventory/inventory";
import { todayIn } from "@/lib/clock";
import { readQuestions, type Read } from "../units/unit-form";

type Asked = {
  questions: readonly Question[];
  rooms: readonly Room[];
  system: UnitSystem;
  today: PlainDate;
};

export const partFields = (book: HomeBook, kind: PartKind): Asked => ({
  questions: kind.questions ?? [],
  rooms: book.rooms,
  system: book.home.unitSystem,
  today: todayIn(book.home.timeZone),
});

/** Reads a part of any kind but a filter slot: its name, where it is, what its kind is asked. */
export function readPart(
  typed: Record<string, string[]>,
  { questions, rooms, system, today }: Asked,
): Read<Omit<Part, "id" | "unitId" | "kind">> {
  const text = (name: string) => (typed[name]?.[0] ?? "").trim();
  const answers = readQuestions(questions, typed, system, today);
  const problems = { ...answers.problems };
  const [name, place, note] = [text("name"), text("place"), text("note")];
  if (name === "") problems["name"] = "Give it a name.";
  if (name.length > 60) problems["name"] = "A shorter name, please: up to 60 letters.";
  if (place.length > 300) problems["place"] = "Shorter, please: up to 300 letters.";
  if (note.length > 1000) problems["note"] = "Shorter, please: up to 1000 letters.";
  const room = rooms.find((each) => each.id === text("roomId"));
  return {
    values: {
      name,
      answers: answers.values,
      ...(place ? { place } : {}),
      ...(room ? { roomId: room.id } : {}),
      ...(note ? { note } : {}),
    },
    problems,
  };
}
