import { LEADS } from "@/content/leads";
import { holdsAt, ledOn, type Lead, type LeadPlace, type SeenThere } from "@/core/readings/leads";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { inSentence } from "@/core/quantities/words";
import type { PlannedTask } from "@/core/scheduling/task";
import type { ReadingKind } from "@/core/readings/reading-kinds";

/** What something seen asks for, in words, and where it is done. */
export type LeadWords = {
  id: string;
  now?: string;
  why: string;
  links: { href: string; words: string }[];
};

/** What a few things seen lead to in a home, each said once. */
export function leadsOf(
  seen: readonly SeenThere[],
  snapshot: HomeSnapshot,
  tasks: readonly PlannedTask[],
): LeadWords[] {
  const { home, slots, units } = snapshot;
  const unitName = (id: string | undefined) => units.find((unit) => unit.id === id)?.name;
  const all = seen.flatMap((each) => ledOn(each, snapshot, tasks, LEADS));
  const once = [...new Map(all.map((each) => [each.lead.id, each])).values()];
  return once.map(({ lead: { id, now, why }, jobs, filters }) => ({
    id,
    ...(now ? { now } : {}),
    why,
    links: [
      ...jobs.map((task) => ({
        href: `/homes/${home.id}/jobs/${task.id}/start`,
        words: [unitName(task.unitId), inSentence(task.name)].filter(Boolean).join(": "),
      })),
      ...filters.map((slotId) => {
        const slot = slots.find((each) => each.id === slotId);
        return {
          href: `/homes/${home.id}/parts/${slotId}/edit`,
          words: `Does it fit? Measure slot and filter: ${unitName(slot?.unitId)}`,
        };
      }),
    ],
  }));
}

/** Where something is seen, as far as that is known before anything is written down. */
export type SeenAt = Partial<LeadPlace>;

/** What a word seen at a step asks for at once and why, before anything is written down. */
export function leadNow(
  at: { reading: ReadingKind } | { sign: string } | { procedure: string; step: string },
  word: string,
  place: SeenAt = {},
): Pick<Lead, "now" | "why" | "call" | "emergency"> | null {
  const where: LeadPlace = {
    kind: place.kind,
    partKind: place.partKind,
    isHeatingWeather: place.isHeatingWeather ?? false,
  };
  const lead = LEADS.find((each) => {
    const { from } = each;
    if (!holdsAt(each, where)) return false;
    if ("sign" in from) return "sign" in at && from.sign.includes(at.sign);
    if (!("is" in from) || !from.is.includes(word)) return false;
    return "reading" in from
      ? "reading" in at && from.reading === at.reading
      : "procedure" in at && from.procedure === at.procedure && from.step === at.step;
  });
  return lead ?? null;
}
