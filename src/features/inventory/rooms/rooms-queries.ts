import "server-only";
import { shutRegisters } from "@/core/inventory/shut-registers";
import { countWords, capitalised, listWords } from "@/core/quantities/words";
import { isCoAlarm, levelsWithoutAlarm } from "@/core/inventory/alarms";
import type { Level, Register, Room } from "@/core/inventory/inventory";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { homeSnapshot } from "@/server/snapshots/snapshot-cache";

export type RoomRow = { room: Room; registers: Register[]; units: { id: string; name: string }[] };
export type RoomsPage = {
  snapshot: HomeSnapshot;
  levels: { level: Level; rooms: RoomRow[] }[];
  rule: { words: string; verdict: "sound" | "watch" | "act" } | null;
  /** Lived-in levels without a carbon monoxide alarm, as a sentence. */
  alarms: string | null;
};

export async function roomsOf(homeId: string): Promise<RoomsPage | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const alarms = snapshot.units.filter((unit) => isCoAlarm(unit.kind));
  const bare = levelsWithoutAlarm(snapshot.levels, snapshot.rooms, alarms).map(
    (level) => level.name,
  );
  return {
    snapshot,
    levels: snapshot.levels.map((level) => ({
      level,
      rooms: snapshot.rooms
        .filter((room) => room.levelId === level.id)
        .map((room) => ({
          room,
          registers: snapshot.registers.filter((register) => register.roomId === room.id),
          units: snapshot.units.filter((unit) => unit.roomId === room.id),
        })),
    })),
    rule: ruleOfAThird(snapshot.registers),
    alarms:
      bare.length === 0
        ? null
        : `No carbon monoxide alarm on: ${listWords(bare)}. One belongs on every lived-in level.`,
  };
}

/** How many registers are shut, and what that means. */
export function ruleOfAThird(registers: readonly Register[]): RoomsPage["rule"] {
  const shut = shutRegisters(registers);
  if (!shut)
    return registers.some((register) => register.isShut)
      ? { words: "A return is shut: open it.", verdict: "act" }
      : null;
  const { total, closed, returnsShut, verdict, maxClosed, mustOpen } = shut;
  const head = `${capitalised(countWords(closed))} of ${total} registers shut; a third, ${maxClosed}, may be`;
  const open = mustOpen > 0 ? `: open ${countWords(mustOpen)} at least` : "";
  const back = returnsShut > 0 ? " A return is never shut or blocked: open it." : "";
  return { words: `${head}${open}.${back}`, verdict };
}

/** A room as its form shows it. */
export const fieldsOfRoom = (room: Room): Record<string, string[]> => ({
  name: [room.name],
  levelId: [room.levelId],
  ...(room.sleeps ? { sleeps: ["on"] } : {}),
});
