import type { HomeSnapshot } from "../history/home-snapshot";
import type { Unit } from "../inventory/inventory";
import { inSentence } from "../quantities/words";
import type { PlannedTask } from "./task";

type Places = Pick<HomeSnapshot, "units" | "rooms" | "levels" | "slots" | "parts">;

/** Which of those that read alike, where nothing else tells them apart: “no. 2”; nothing of one that stands alone. */
const nth = (alike: readonly { id: string }[], id: string): string[] =>
  alike.length > 1 ? [`no. ${alike.findIndex((each) => each.id === id) + 1}`] : [];

/**
 * What tells a job from another that reads the same: of machines of one name where each stands, of one machine’s
 * parts which it is, and the number in the order of entering of what is alike in all that. Empty where nothing
 * else reads so.
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
  const words: string[] = [];
  const namesakes = units.filter(({ name }) => name === unit?.name);
  if (unit && namesakes.length > 1) {
    const placeOf = ({ roomId, levelId }: Pick<Unit, "roomId" | "levelId">) =>
      (rooms.find(({ id }) => id === roomId) ?? levels.find(({ id }) => id === levelId))?.name;
    const place = placeOf(unit);
    const beside = namesakes.filter((each) => placeOf(each) === place);
    words.push(...(place ? [place] : []), ...nth(beside, unit.id));
  }
  const all = [...slots, ...parts];
  const partOf = (id: string | undefined) => all.find((part) => part.id === id);
  const part = partOf(task.partId);
  const alike = others.filter(({ name }) => name === task.name);
  const atParts = alike.flatMap(({ partId }) => partOf(partId) ?? []);
  if (part && alike.some(({ id }) => id !== task.id)) {
    const wordOf = ({ name, place }: { name: string; place?: string }) =>
      atParts.filter((each) => each.name === name).length > 1 ? (place ?? name) : name;
    const same = atParts.filter((each) => wordOf(each) === wordOf(part));
    words.push(inSentence(wordOf(part)), ...nth(same, part.id));
  }
  return words;
}
