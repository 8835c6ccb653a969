import { waysOf } from "@/core/runs/lint";
import { judge, judgeInput } from "@/core/readings/judge";
import {
  isWordKind,
  MEASURED_KINDS,
  READING_KINDS,
  WORD_KINDS,
  type ReadingKind,
  type Verdict,
} from "@/core/readings/reading-kinds";
import { verdictOfSign } from "@/core/noticed/sign";
import type { Lead } from "@/core/readings/leads";
import { emergency, EMERGENCIES, EMERGENCY_IDS } from "./emergencies";
import { LEADS } from "./leads";
import { PROCEDURES } from "./procedures/library";
import { READING_WORDS } from "./reading-words";
import { SIGN_GROUPS, signOf } from "./signs";

type Answer = { kind: ReadingKind; word?: string; verdict: Verdict; side?: unknown };

/** Every answer that a reading can be judged as, measured kinds by values all through what they accept. */
const ANSWERS: Answer[] = READING_KINDS.flatMap((kind): Answer[] => {
  if (isWordKind(kind))
    return Object.entries(WORD_KINDS[kind]).map(([word, verdict]) => ({ kind, word, verdict }));
  // What a plate’s range judges may be of anything: what is out of it is measured again.
  if (kind === "plate-range") return [];
  const { accepts, unit, rated: plate, ...facts } = MEASURED_KINDS[kind];
  const isWhole = "whole" in facts;
  const found = new Map<string, Answer>();
  for (let i = 0; i <= 400; i++) {
    const raw = accepts.min + ((accepts.max - accepts.min) * i) / 400;
    const value = isWhole ? Math.round(raw) : raw;
    const third = (isWhole ? Math.round : Number)((accepts.min + accepts.max) / 3);
    const printed = plate === "band" ? { min: third, max: 1.2 * third } : third;
    for (const rated of plate === "none" ? [undefined] : [printed, undefined]) {
      const read = judgeInput.safeParse({ kind, value, unit, ...(rated ? { rated } : {}) });
      if (!read.success) continue;
      const { verdict, facts: of } = judge(read.data);
      found.set(`${verdict} ${String(of["side"])}`, { kind, verdict, side: of["side"] });
    }
  }
  return [...found.values()];
});

const leadsOf = ({ kind, word, verdict, side }: Answer): Lead[] =>
  LEADS.filter(({ from }) => {
    if (!("reading" in from) || from.reading !== kind) return false;
    if ("is" in from) return word !== undefined && from.is.includes(word);
    return from.verdict.includes(verdict) && (from.side === undefined || from.side === side);
  });
const named = ({ kind, word, verdict, side }: Answer) => [kind, word ?? side, verdict];

describe("what the library claims", () => {
  it("covers every kind that can be bad", () => {
    const kinds = new Set(ANSWERS.map(({ kind }) => kind));
    expect(READING_KINDS.filter((kind) => !kinds.has(kind))).toEqual(["plate-range"]);
    expect(ANSWERS.filter(({ verdict }) => verdict === "stop").length).toBeGreaterThan(8);
  });

  it("leads on from every answer that is judged act or stop", () => {
    const alone = ANSWERS.filter(
      (each) =>
        (each.verdict === "act" || each.verdict === "stop") &&
        leadsOf(each).length === 0 &&
        // A thermocouple or sensor that reads more than it can was measured wrongly.
        !(each.kind === "thermocouple-mv" && each.side === "above"),
    );
    expect(alone.map(named)).toEqual([]);
  });

  it("calls somebody at every stop, or is on the emergency page", () => {
    const mild = ANSWERS.filter(
      (each) =>
        each.verdict === "stop" &&
        !leadsOf(each).some(({ call, emergency: page }) => call === true || page !== undefined),
    );
    expect(mild.map(named)).toEqual([]);
    for (const { signs } of SIGN_GROUPS)
      for (const sign of signs) {
        if (verdictOfSign(sign) !== "stop" || sign.reading) continue;
        const leads = LEADS.filter(({ from }) => "sign" in from && from.sign.includes(sign.id));
        expect([sign.id, leads.some(({ emergency: page, call }) => page ?? call)]).not.toEqual([
          sign.id,
          false,
        ]);
        expect(leads).not.toEqual([]);
      }
  });

  it("has words for every stop and act: what to do", () => {
    for (const { kind, verdict } of ANSWERS) {
      if (verdict === "act") expect([kind, READING_WORDS[kind].act]).not.toEqual([kind, undefined]);
    }
  });

  it("names an emergency page that there is, and each page is noted by a sign there is", () => {
    for (const { emergency: page } of LEADS)
      if (page !== undefined) expect([page, emergency(page)?.id]).toEqual([page, page]);
    expect(EMERGENCIES.map(({ id }) => id)).toEqual([...EMERGENCY_IDS]);
    for (const { id, sign, steps, call, unlike } of EMERGENCIES) {
      expect([id, verdictOfSign(signOf(sign)!)]).toEqual([id, "stop"]);
      expect(steps).toHaveLength(3);
      for (const step of steps) expect(step.length).toBeLessThan(90);
      expect(call.length).toBeGreaterThan(0);
      if (unlike) expect(signOf(unlike.sign)).toBeDefined();
    }
  });

  it("closes in each way whatever it opens, unless that is left for the season", () => {
    for (const each of PROCEDURES)
      for (const { steps, setting } of waysOf(each)) {
        const opened = steps.flatMap(({ opens = [] }) =>
          opens.filter(({ parks, when }) => !parks && (!when || setting.facts.includes(when))),
        );
        const ends = steps.some(({ endsJob }) => endsJob);
        const closed = new Set(steps.map(({ closes }) => closes));
        // A job that ends early leads back by itself.
        if (!ends)
          expect([
            each.id,
            opened.filter(({ key }) => !closed.has(key)).map(({ key }) => key),
          ]).toEqual([each.id, []]);
      }
  });

  it("keeps the machine off wherever a caution says that it stays off", () => {
    const says = /\b(stays? off|leave it off|off until|not lit until|does not run)\b/i;
    const silent = PROCEDURES.flatMap(({ id, steps }) =>
      steps.flatMap((step) => {
        const isAside = step.kind === "caution" && (step.who === "licensed" || step.endsJob);
        const words = `${step.title} ${step.detail ?? ""} ${step.caution ?? ""}`;
        // Or an end of its own says so: the cooling turned off at the thermostat.
        const isHeld = steps.some(
          ({ opens, whenSeen }) => opens && whenSeen && whenSeen.step === step.whenSeen?.step,
        );
        return isAside && says.test(words) && !step.keepsOff && !isHeld ? [`${id} ${step.id}`] : [];
      }),
    );
    expect(silent).toEqual([]);
  });
});
