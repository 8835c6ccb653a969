import { JOBS } from "@/content/default-tasks";
import { LEADS } from "@/content/leads";
import { PART_KINDS } from "@/content/part-kinds";
import { procedure } from "@/content/procedures/library";
import { SUGGESTS } from "@/content/reading-words";
import { UNIT_KINDS } from "@/content/unit-kinds";
import { MEDIA_KINDS } from "../filters/media";
import type { HomeSnapshot } from "../history/home-snapshot";
import { event, slot, snapshot } from "../../../tests/small-home";
import { tasksOf } from "../scheduling/home-tasks";
import { judgeInput } from "./judge";
import { ledOn, type SeenThere } from "./leads";
import { WORD_KINDS, type WordReading } from "./reading-kinds";

const names = new Set([
  ...PART_KINDS.flatMap(({ id }) =>
    UNIT_KINDS.flatMap((unit) => JOBS.part(id, unit.id).map(({ key }) => `${id}:${key}`)),
  ),
  ...UNIT_KINDS.flatMap(({ id }) => JOBS.unit(id).map(({ key }) => `${id}:${key}`)),
  ...MEDIA_KINDS.flatMap((media) => [
    ...[JOBS.renewal(media, ""), JOBS.look(30)],
    ...JOBS.besideRenewal(media),
  ]).map(({ key }) => `filter:${key}`),
]);

describe("the table of what leads where", () => {
  it.each(LEADS.map((lead) => [lead.id, lead] as const))(
    "%s begins at what can be seen and ends at jobs there are",
    (_, { from, to, why, now, fit }) => {
      expect(to.filter((name) => !names.has(name))).toEqual([]);
      // It asks for something: a job, a measuring, or what is done at once.
      expect(to.length > 0 || fit === true || now !== undefined).toBe(true);
      expect(why).toMatch(/\.$|\?$/);
      if ("reading" in from && "is" in from)
        for (const word of from.is)
          expect(Object.keys(WORD_KINDS[from.reading as WordReading])).toContain(word);
      if ("procedure" in from) {
        const step = procedure(from.procedure)!.steps.find(({ id }) => id === from.step)!;
        const values =
          step.records?.kind === "choice" ? step.records.options.map(({ value }) => value) : [];
        for (const word of from.is) expect(values).toContain(word);
      }
    },
  );

  it("leads nobody on from what is sound", () => {
    for (const { from } of LEADS)
      if ("reading" in from && "is" in from)
        for (const word of from.is) {
          const verdict = (WORD_KINDS[from.reading as WordReading] as Record<string, string>)[word];
          expect([from.reading, word, verdict]).not.toEqual([from.reading, word, "sound"]);
        }
  });

  it("says nothing that a suggestion says beside it", () => {
    for (const { from } of LEADS)
      if ("reading" in from && "is" in from)
        for (const word of from.is) expect(SUGGESTS[from.reading]?.[word]).toBeUndefined();
  });

  it("says what to do at once wherever a word means stop", () => {
    for (const [kind, words] of Object.entries(WORD_KINDS))
      for (const [word, verdict] of Object.entries(words)) {
        if (verdict !== "stop" || word === "gas") continue;
        const lead = LEADS.find(
          ({ from }) =>
            "reading" in from && from.reading === kind && "is" in from && from.is.includes(word),
        );
        expect([kind, word, typeof lead?.now]).toEqual([kind, word, "string"]);
      }
  });
});

describe("what is seen in a house", () => {
  const part = (id: string, unitId: string, kind: string) => ({
    ...{ id, unitId, kind, name: kind, attributes: {} },
  });
  const furnace = snapshot([]).units[0]!;
  const home: HomeSnapshot = {
    ...snapshot([]),
    units: [
      furnace,
      { ...furnace, id: "condenser", kind: "split-cooling" },
      { ...furnace, id: "studio", systemId: "other-air", kind: "ductless-head" },
    ],
    slots: [slot(), slot({ id: "panel", media: "humidifier-panel" })],
    parts: [
      part("coil", "condenser", "evaporator-coil"),
      part("studio-coil", "studio", "evaporator-coil"),
      part("line", "furnace", "condensate-line"),
    ],
  };
  const tasks = tasksOf(home, JOBS);
  const reading = (kind: string, value: string): SeenThere =>
    event("reading", 0, {
      unitId: "furnace",
      partId: undefined,
      reading: judgeInput.parse({ kind, value }),
    });
  const led = (seen: SeenThere) => ledOn(seen, home, tasks, LEADS);

  it("leads a matted coil to its cleaning, and asks whether the filters of its air fit", () => {
    const [only, ...rest] = led(reading("coil", "matted"));
    expect(rest).toEqual([]);
    // The coil of the same air, not that of the studio.
    expect(only!.jobs.map(({ id }) => id)).toEqual(["coil.clean"]);
    expect(only!.filters).toEqual(["slot", "panel"]);
  });

  it("leads fresh water to the drain of that machine", () => {
    expect(led(reading("water-at-unit", "fresh"))[0]!.jobs.map(({ id }) => id)).toEqual([
      "line.clear",
    ]);
    expect(led(reading("water-at-unit", "old-stain"))).toEqual([]);
  });

  it("knows scale on a humidifier’s panel from dirt on a filter", () => {
    const look = (partId: string): SeenThere =>
      event("look", 0, { partId, unitId: "furnace", look: { grade: "blocked" } });
    expect(led(look("panel")).map(({ lead }) => lead.id)).toEqual(["scaled-panel"]);
    expect(led(look("slot"))).toEqual([]);
  });

  it("heeds answers of a job that are no reading", () => {
    const answer = { procedure: "look-at-filter", step: "frame", unitId: "furnace" };
    expect(led({ ...answer, word: "past" }).map(({ lead }) => lead.id)).toEqual(["past-the-frame"]);
    expect(led({ ...answer, word: "none" })).toEqual([]);
  });
});
