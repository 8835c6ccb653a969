import type { HomeSnapshot } from "../history/home-snapshot";
import type { Unit } from "../inventory/inventory";
import { inSentence } from "../quantities/words";
import type { PlannedTask } from "./task";

type Places = Pick<HomeSnapshot, "units" | "rooms" | "levels" | "slots" | "parts">;

/**
 * What tells a job from another that reads the same: of machines of one name where each stands, of one machine’s
 * parts which it is. Empty where nothing else reads so.
 *
 * @param others the jobs of the same machine
 * @example apartOf({ units: [], rooms: [], levels: [], slots: [], parts: [] }, { id: "home.walk", name: "Walk round" }, null, []) // []
 */
export function apartOf(
  { units, rooms, levels, slots, parts }: Places,
  task: Pick<PlannedTask, "id" | "name" | "partId">,
  unit: Pick<Unit, "id" | "name" | "roomId" | "levelId"> | null,
  others: readonly Pick<PlannedTask, "id" | "name" | "partId">[],
): string[] {
  const words: (string | undefined)[] = [];
  if (unit && units.some(({ id, name }) => id !== unit.id && name === unit.name)) {
    const room = rooms.find(({ id }) => id === unit.roomId);
    words.push(room?.name ?? levels.find(({ id }) => id === unit.levelId)?.name);
  }
  const all = [...slots, ...parts];
  const partOf = (id: string | undefined) => all.find((part) => part.id === id);
  const alike = others.filter(({ id, name }) => id !== task.id && name === task.name);
  const part = partOf(task.partId);
  if (part && alike.length > 0) {
    const isNamedAlone = alike.every(({ partId }) => partOf(partId)?.name !== part.name);
    words.push(inSentence(isNamedAlone ? part.name : (part.place ?? part.name)));
  }
  return words.flatMap((each) => each ?? []);
}
