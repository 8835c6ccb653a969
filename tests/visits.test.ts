import { execFileSync } from "node:child_process";
import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { addDays, plainDate } from "@/core/quantities/plain-date";
import { HOUSEHOLD } from "@/core/visits/visit";
import { COMMAND_ID } from "@/lib/forms";
import { todayOf } from "@/features/today/today-queries";
import { readingSeriesOf } from "@/features/records/readings/readings-queries";
import sharp from "sharp";
import { removedOf } from "@/features/inventory/trash/removed-queries";
import { postHomePhoto } from "@/features/inventory/units/picture-api";
import { listPicturesOf } from "@/features/inventory/units/picture-queries";
import { saveInstrument } from "@/features/visits/instruments-actions";
import { bringBack, remove } from "@/server/commands/trash";
import { actOnDemo, formOf, landing, nothingSent } from "./acting";
import type { DemoStore } from "./demo-store";
import {
  beginVisit,
  endVisit,
  enterPast,
  keepChecks,
  saveChecks,
  saveFinding,
  savePlan,
  settleFinding,
} from "@/features/visits/visit-actions";
import { readChecks, readEnd, readFinding, readPlan } from "@/features/visits/visit-form";
import { visitReport } from "@/features/visits/report";
import { getVisitReport } from "@/features/visits/report-api";
import { likelyWords } from "@/features/visits/likely-words";
import { CHECK_ORDER, PART_FACTS } from "@/content/visits";
import { partKind } from "@/content/part-kinds";
import { WORD_KINDS } from "@/core/readings/reading-kinds";
import type { LikelyBecause } from "@/core/visits/likely-parts";
import { partNumbers } from "@/presentation/identity-words";
import { checksOf, unitChecksOf, visitOf } from "@/features/visits/visit-queries";
import { visitListOf } from "@/features/visits/visit-list";

jest.mock(
  "next/navigation",
  () => jest.requireActual<typeof import("./acting")>("./acting").navigation,
);
jest.setTimeout(60_000);

const HOME = "sluice-house";
const today = plainDate("2026-03-14");
const CAPACITOR = "capacitor-uf@cellar-furnace-capacitor";
let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
afterAll(() => demo.discard());

const home = async () => (await demo.read(HOME)).snapshot;
const plan = { reason: "yearly", unit: ["cellar-furnace"], contactId: "sluice-technician" };
const planned = async (fields: Record<string, string | string[]> = {}) => {
  const to = await landing(savePlan(HOME, null, nothingSent, formOf({ ...plan, ...fields })));
  return to.split("/").at(-1)!;
};
const at = (visitId: string) => ({ visitId, unitId: "cellar-furnace" });
const check = (visitId: string, fields: Record<string, string>) =>
  saveChecks(HOME, at(visitId), nothingSent, formOf(fields));
const readOn = async (visitId: string) =>
  (await home()).history.readings.filter(({ event }) => event.visitId === visitId);

describe("a technician’s visit", () => {
  it("is planned for machines of this home, and refused without any", async () => {
    const id = await planned({ on: "2026-04-02", questions: "Does it last?" });
    expect((await home()).visits.find((visit) => visit.id === id)).toEqual({
      id,
      reason: "yearly",
      unitIds: ["cellar-furnace"],
      contactId: "sluice-technician",
      on: "2026-04-02",
      questions: "Does it last?",
    });
    const sent = await savePlan(HOME, null, nothingSent, formOf({ ...plan, unit: "boiler" }));
    expect(sent.errors).toEqual({ unit: "Tick the machines it is about." });
    await remove({ kind: "visit", homeId: HOME, id });
    expect((await visitListOf(HOME))!.rows.some((row) => row.id === id)).toBe(false);
    await bringBack({ kind: "visit", homeId: HOME, id });
    expect((await visitListOf(HOME))!.rows.some((row) => row.id === id)).toBe(true);
  });

  it("says in its brief what to bring: what drifts, and what is past its life", async () => {
    const page = (await visitOf(HOME, "visit-next", HOUSEHOLD))!;
    expect(page.likely[0]).toMatchObject({
      because: "read",
      kind: "capacitor-uf",
      part: { id: "cellar-furnace-capacitor" },
    });
    expect(page.deferred.map(({ id }) => id)).toEqual(["finding-capacitor"]);
    expect(
      await visitOf(HOME, "visit-next", { kind: "technician", visitId: "visit-166" }),
    ).toBeNull();
    expect(await visitOf("boathouse", "visit-next", HOUSEHOLD)).toBeNull();
  });

  it("asks the heating side first, each thing once, beside what was read the last time", async () => {
    const { rows } = (await unitChecksOf(HOME, "visit-next", "cellar-furnace", HOUSEHOLD))!;
    expect(rows[0]!.kind).toBe("flame");
    expect(rows.filter(({ kind }) => kind === "flame")).toHaveLength(1);
    const kinds = rows.map(({ kind }) => kind);
    expect(kinds.indexOf("capacitor-uf")).toBeGreaterThan(kinds.indexOf("temperature-rise-k"));
    const capacitor = rows.find(({ key }) => key === CAPACITOR)!;
    expect(capacitor.before).toMatchObject({ words: "4.77 µF", verdict: "watch" });
    const { units } = await home();
    const yard = units.find(({ id }) => id === "yard-condenser")!;
    expect(checksOf(await home(), yard).at(-1)!.kind).not.toBe("flame");
  });

  it("keeps what is measured with its conditions, corrects it on the same visit, and takes it once", async () => {
    const id = await planned();
    await landing(beginVisit(HOME, id));
    await landing(beginVisit(HOME, id));
    const fields = {
      [`value ${CAPACITOR}`]: "4,71",
      [`rated ${CAPACITOR}`]: "5",
      instrument: "clamp-meter",
      outdoor: "-3",
      running: "heating",
      minutesRunning: "20",
      [COMMAND_ID]: "checks-1",
    };
    await landing(check(id, fields));
    await landing(check(id, fields));
    const [first, ...more] = await readOn(id);
    expect(more).toEqual([]);
    expect(first).toMatchObject({
      event: { date: today },
      taken: {
        value: 4.71,
        typed: { value: "4,71" },
        conditions: {
          instrumentId: "clamp-meter",
          outdoorC: -3,
          running: "heating",
          minutesRunning: 20,
        },
      },
    });
    await landing(check(id, { [`value ${CAPACITOR}`]: "4.7", [`rated ${CAPACITOR}`]: "5" }));
    expect((await readOn(id)).map(({ taken }) => taken.value)).toEqual([4.7]);
  });

  it("refuses one figure at its field, writes none, and keeps what is half typed", async () => {
    const id = await planned();
    const sent = await check(id, {
      [`value ${CAPACITOR}`]: "4.9",
      [`rated ${CAPACITOR}`]: "5",
      "value temperature-rise-k@": "forty",
    });
    expect(Object.keys(sent.errors)).toEqual(["value temperature-rise-k@"]);
    expect(await readOn(id)).toEqual([]);
    await keepChecks(HOME, at(id), formOf({ [`value ${CAPACITOR}`]: "4." }));
    const page = (await unitChecksOf(HOME, id, "cellar-furnace", HOUSEHOLD))!;
    expect(page.initial).toEqual({ [`value ${CAPACITOR}`]: ["4."] });
  });

  it("takes a new instrument by its name, once, and shows the change as no drift", async () => {
    const id = await planned({ unit: ["yard-condenser"] });
    const send = (value: string) =>
      landing(
        saveChecks(
          HOME,
          { visitId: id, unitId: "yard-condenser" },
          nothingSent,
          formOf({
            "value capacitor-uf@yard-condenser-capacitor": value,
            "rated capacitor-uf@yard-condenser-capacitor": "45",
            instrument: "new",
            newInstrument: "Blue meter",
          }),
        ),
      );
    await send("44");
    await send("44.1");
    expect((await home()).instruments.filter(({ name }) => name === "Blue meter")).toHaveLength(1);
    const [series] = await readingSeriesOf(HOME, {
      unitId: "yard-condenser",
      partId: "yard-condenser-capacitor",
    });
    expect(series!.trend!.sentence).toMatch(
      /Another meter since 14 Mar: a step there is the meter’s/,
    );
  });

  it("brings everybody out where carbon monoxide was read", async () => {
    const id = await planned({ unit: ["alarm-ground"] });
    const to = await landing(
      saveChecks(
        HOME,
        { visitId: id, unitId: "alarm-ground" },
        nothingSent,
        formOf({ "value co-ppm@alarm-ground-alarm-display": "60" }),
      ),
    );
    expect(to).toBe(`/emergency/${HOME}/co`);
  });

  it("ends once: settles its jobs, what was decided for now, and plans the next", async () => {
    const id = await planned();
    await landing(beginVisit(HOME, id));
    await landing(
      saveFinding(
        HOME,
        { ...at(id), findingId: null },
        nothingSent,
        formOf({ words: "Belt cracked", decision: "now", price: "18.50" }),
      ),
    );
    const end = {
      verdict: "sound",
      signedBy: "Ottoline Ferrow",
      minutes: "70",
      cost: "140",
      nextOn: "2026-09-20",
      job: ["cellar-furnace||visit", "cellar-furnace|cellar-furnace-flame-sensor|polish", "x||y"],
    };
    const refusedEnd = await endVisit(HOME, id, nothingSent, formOf({ ...end, signedBy: "" }));
    expect(refusedEnd.errors).toEqual({ signedBy: "Whose word is this? A name." });
    await landing(endVisit(HOME, id, nothingSent, formOf(end)));
    await landing(endVisit(HOME, id, nothingSent, formOf(end)));
    const { visits, findings, history } = await home();
    const done = history.counted.filter((event) => event.visitId === id && event.kind === "done");
    expect(done.map(({ taskKey, minutes, costMinor }) => [taskKey, minutes, costMinor])).toEqual([
      ["visit", 70, 14000],
      ["polish", undefined, undefined],
    ]);
    expect(findings.find(({ visitId }) => visitId === id)).toMatchObject({
      priceMinor: 1850,
      settledOn: today,
    });
    expect(visits.filter(({ on }) => on === "2026-09-20")).toHaveLength(1);
  });

  it("ends once though two windows end it, and goes on though a machine was retired meanwhile", async () => {
    const id = await planned();
    await landing(beginVisit(HOME, id));
    const end = { verdict: "sound", signedBy: "N. N.", cost: "10", job: "cellar-furnace||visit" };
    await Promise.all([
      landing(endVisit(HOME, id, nothingSent, formOf({ ...end, [COMMAND_ID]: "left" }))),
      landing(endVisit(HOME, id, nothingSent, formOf({ ...end, [COMMAND_ID]: "right" }))),
    ]);
    const done = (await home()).history.counted.filter((event) => event.visitId === id);
    expect(done.map(({ kind, costMinor }) => [kind, costMinor])).toEqual([["done", 1000]]);
    // A retired machine has no checks any more; its visit stays readable.
    const page = (await visitOf(HOME, id, HOUSEHOLD))!;
    expect(page.units.map(({ unit }) => unit.id)).toEqual(["cellar-furnace"]);
  });

  it("writes money and minutes once where no job was ticked", async () => {
    const id = await planned();
    const end = {
      verdict: "repair",
      signedBy: "N. N.",
      cost: "45",
      minutes: "30",
      words: "Looked.",
    };
    // Nothing counts as done that nobody ticked: that it was nothing has to be said.
    const unsaid = await endVisit(HOME, id, nothingSent, formOf(end));
    expect(unsaid.errors).toMatchObject({ job: expect.stringContaining("Tick what was done") });
    expect((await home()).history.counted.filter(({ visitId }) => visitId === id)).toEqual([]);
    await landing(endVisit(HOME, id, nothingSent, formOf({ ...end, nothing: "yes" })));
    const [note, ...more] = (await home()).history.counted.filter(({ visitId }) => visitId === id);
    expect(more).toEqual([]);
    expect(note).toMatchObject({ kind: "note", words: "Looked.", minutes: 30, costMinor: 4500 });
  });

  it("renews a filter that was changed on it, as any change", async () => {
    const id = await planned();
    const before = (await home()).items.length;
    const end = { verdict: "sound", signedBy: "N. N.", job: "cellar-furnace|cellar-filter|renew" };
    await landing(endVisit(HOME, id, nothingSent, formOf(end)));
    const { history, items } = await home();
    expect(items).toHaveLength(before + 1);
    expect(history.ofPart("cellar-filter").at(-1)).toMatchObject({ kind: "fitted", date: today });
  });

  it("leaves what is not of this home or visit alone", async () => {
    const finding = { words: "Nothing", decision: "open" };
    for (const [visitId, unitId] of [
      ["visit-none", "cellar-furnace"],
      ["visit-next", "kiln-furnace"],
    ] as const)
      await landing(
        saveFinding(HOME, { visitId, unitId, findingId: null }, nothingSent, formOf(finding)),
      );
    expect((await home()).findings.some(({ words }) => words === "Nothing")).toBe(false);
    expect(
      await landing(
        saveChecks(
          HOME,
          { visitId: "visit-next", unitId: "kiln-furnace" },
          nothingSent,
          formOf({}),
        ),
      ),
    ).toBe(`/homes/${HOME}/visits`);
    expect(
      await landing(
        endVisit(
          "boathouse",
          "visit-next",
          nothingSent,
          formOf({ verdict: "sound", signedBy: "N." }),
        ),
      ),
    ).toBe("/homes/boathouse/visits");
    await landing(settleFinding("boathouse", "finding-pilot", true));
    expect((await home()).findings.find(({ id }) => id === "finding-pilot")).not.toHaveProperty(
      "settledOn",
    );
  });

  it("takes a finding out and brings it back, and no visit that was begun", async () => {
    const has = async () => (await home()).findings.some(({ id }) => id === "finding-pilot");
    const target = { kind: "finding", homeId: HOME, id: "finding-pilot" } as const;
    await remove({ ...target, homeId: "boathouse" });
    expect(await has()).toBe(true);
    await remove(target);
    expect(await has()).toBe(false);
    expect((await removedOf(HOME)).map(({ name }) => name)).toContain("Thermocouple gives 18 mV");
    await bringBack(target);
    expect(await has()).toBe(true);
    await remove({ kind: "visit", homeId: HOME, id: "visit-166" });
    expect((await home()).visits.some(({ id }) => id === "visit-166")).toBe(true);
  });

  it("keeps its invoice and the pictures of a finding, each where it belongs", async () => {
    const bytes = await sharp({ create: { width: 8, height: 8, channels: 3, background: "#abc" } })
      .png()
      .toBuffer();
    const send = async (about: Record<string, string>) => {
      const form = new FormData();
      for (const [name, value] of Object.entries(about)) form.set(name, value);
      form.set("file", new File([new Uint8Array(bytes)], "invoice.png"));
      const request = new Request("http://h/", { method: "POST", body: form });
      return (await postHomePhoto(HOME, request)).status;
    };
    const id = "picture-of-a-visit";
    expect(await send({ id, visitId: "visit-166" })).toBe(201);
    const finding = { visitId: "visit-166", findingId: "finding-capacitor" };
    expect(await send({ id: `${id}-2`, ...finding })).toBe(201);
    expect(await send({ id: `${id}-3`, ...finding, visitId: "visit-next" })).toBe(404);
    expect(await send({ id: `${id}-4`, visitId: "visit-none" })).toBe(404);
    const { pictures } = (await visitOf(HOME, "visit-166", HOUSEHOLD))!;
    expect(pictures.map((picture) => [picture.id, picture.findingId])).toEqual([
      [id, null],
      [`${id}-2`, "finding-capacitor"],
    ]);
    // A picture makes the report longer and takes none of its words.
    expect((await visitReport(HOME, "visit-166"))!.length).toBeGreaterThan(1000);
    // The machine’s own pictures are those of no visit.
    expect((await listPicturesOf("cellar-furnace")).map((picture) => picture.id)).not.toContain(
      `${id}-2`,
    );
  });

  it("hangs pictures taken at a finding’s form on it once it is saved, and no others", async () => {
    const bytes = await sharp({
      create: { width: 8, height: 8, channels: 3, background: "#445" },
    })
      .png()
      .toBuffer();
    const send = async (about: Record<string, string>) => {
      const form = new FormData();
      for (const [name, value] of Object.entries(about)) form.set(name, value);
      form.set("file", new File([new Uint8Array(bytes)], "seen.png"));
      return postHomePhoto(HOME, new Request("http://h/", { method: "POST", body: form }));
    };
    const id = await planned({ on: "2026-03-10" });
    await send({ id: "seen-here", visitId: id });
    await send({ id: "seen-elsewhere", visitId: "visit-next" });
    const finding = {
      ...{ words: "Bearing dry", partId: "", advice: "", price: "", until: "", because: "" },
      decision: "open",
      picture: ["seen-here", "seen-elsewhere", "nothing"],
    };
    await landing(saveFinding(HOME, { ...at(id), findingId: null }, nothingSent, formOf(finding)));
    const found = (await home()).findings.find(({ words }) => words === "Bearing dry")!;
    const hanging = async (visitId: string) =>
      (await visitOf(HOME, visitId, HOUSEHOLD))!.pictures.map(({ findingId }) => findingId);
    expect(await hanging(id)).toEqual([found.id]);
    expect(await hanging("visit-next")).toEqual([null]);
  });

  it("takes suggested questions that are ticked after one’s own, each once", async () => {
    const ask = ["Does it last?", "What does it cost?"];
    const id = await planned({ questions: "First. Does it last?", ask });
    expect((await home()).visits.find((visit) => visit.id === id)?.questions).toBe(
      "First. Does it last?\nWhat does it cost?",
    );
    const long = await savePlan(
      HOME,
      null,
      nothingSent,
      formOf({ ...plan, questions: "q".repeat(1990), ask }),
    );
    expect(long.errors).toEqual({ questions: "Shorter, please: up to 2000 letters." });
  });

  it("enters an instrument, changes it, and shows two who did both versions", async () => {
    const save = (name: string, note: string, id: string | null = null) =>
      saveInstrument(HOME, id, nothingSent, formOf({ name, note }));
    await landing(save("Infrared thermometer", ""));
    const made = (await home()).instruments.find(({ name }) => name === "Infrared thermometer")!;
    await landing(save("Infrared thermometer", "new battery", made.id));
    expect((await home()).instruments.find(({ id }) => id === made.id)).toEqual({
      ...made,
      note: "new battery",
    });
    expect((await save("", "")).errors).toEqual({ name: "Give it a name." });
    const opened = formOf({
      name: "Mine",
      note: "",
      "opened-with": JSON.stringify({ name: ["Infrared thermometer"], note: [""] }),
    });
    expect((await saveInstrument(HOME, made.id, nothingSent, opened)).theirs).toEqual({
      name: ["Infrared thermometer"],
      note: ["new battery"],
    });
  });

  it("lists visits with what they left, the next one first, and what is still open", async () => {
    const { rows, open } = (await visitListOf(HOME))!;
    const days = rows.map(({ day }) => day).filter(Boolean);
    expect([...days].sort().reverse()).toEqual(days);
    expect(rows.find(({ id }) => id === "visit-166")).toMatchObject({
      state: "over",
      verdict: "watch",
      cost: "€168.00",
      who: "Ottoline Ferrow, Lockside Heating",
    });
    expect(open.map(({ id }) => id)).toEqual(
      expect.arrayContaining(["finding-capacitor", "finding-pilot"]),
    );
    expect(open.map(({ id }) => id)).not.toContain("finding-fins");
    expect(await visitListOf("nowhere")).toBeNull();
  });

  it("brings a finding back on Today in its time, until it is put right", async () => {
    const said = async () => (await todayOf(HOME))!.watch.map(({ words }) => words).join("\n");
    expect(await said()).toContain("inducer capacitor drifts, 4.77 of 5 µF; put off until 20 Mar");
    expect(await said()).not.toContain("thermocouple gives 18 mV; put off");
    await landing(settleFinding(HOME, "finding-capacitor", true));
    expect(await said()).not.toContain("put off until 20 Mar");
    await landing(settleFinding(HOME, "finding-capacitor", false));
    expect(await said()).toContain("put off until 20 Mar");
  });

  it("enters one of last spring from its paper, on its own day", async () => {
    const to = await landing(enterPast(HOME, nothingSent, formOf({ ...plan, on: "2025-04-20" })));
    const id = to.split("/").at(-3)!;
    expect(to).toBe(`/homes/${HOME}/visits/${id}/units/cellar-furnace`);
    await landing(check(id, { [`value ${CAPACITOR}`]: "4.8", [`rated ${CAPACITOR}`]: "5" }));
    expect((await readOn(id)).map(({ event }) => event.date)).toEqual(["2025-04-20"]);
    const late = await enterPast(HOME, nothingSent, formOf({ ...plan, on: "2027-01-01" }));
    expect(late.errors).toHaveProperty("on");
  });

  it("leaves a report whose words an independent reader finds", async () => {
    const bytes = (await visitReport(HOME, "visit-166"))!;
    const file = path.join(mkdtempSync(path.join(tmpdir(), "amber-report-")), "report.pdf");
    writeFileSync(file, bytes);
    const text = execFileSync(process.execPath, ["tests/read-pdf.mjs", file], {
      encoding: "utf8",
      stdio: ["ignore", "pipe", "ignore"],
    });
    for (const words of [
      "Sluice House",
      "signed by Ottoline Ferrow",
      "Cellar furnace",
      "Inducer capacitor: 4.77 μF, to watch",
      "4.84 μF (Sunday 30 March 2025)",
      "Found: Inducer capacitor drifts",
      "replace it before the cooling starts",
    ])
      expect(text.replace(/\s+/g, " ")).toContain(words);
    expect(await visitReport("boathouse", "visit-166")).toBeNull();
  });
});

describe("a report of many pages", () => {
  const textOf = (bytes: Uint8Array): string => {
    const file = path.join(mkdtempSync(path.join(tmpdir(), "amber-report-")), "long.pdf");
    writeFileSync(file, bytes);
    return execFileSync(process.execPath, ["tests/read-pdf.mjs", file], {
      encoding: "utf8",
      stdio: ["ignore", "pipe", "ignore"],
    }).replace(/\s+/g, " ");
  };

  it("loses nothing at the foot of a page, and takes any letter that was typed", async () => {
    const id = await planned();
    for (let i = 1; i <= 40; i++)
      await landing(
        saveFinding(
          HOME,
          { ...at(id), findingId: null },
          nothingSent,
          formOf({
            words: `Finding number ${i}`,
            advice: "tighten it, “by hand”, 5 µF – 30 °C",
            decision: "open",
            because: i === 7 ? "🪟 <b>odd</b> ½ ø" : "later",
          }),
        ),
      );
    const text = textOf((await visitReport(HOME, id))!);
    for (let i = 1; i <= 40; i++) expect(text).toContain(`Finding number ${i}`);
    expect(text).toContain("<b>odd</b> ½ ø");
    expect(text).toContain("30 °C");
  });

  it("is there for a visit of which nothing is known yet", async () => {
    const id = await planned({ unit: ["purifier"], contactId: "" });
    expect(textOf((await visitReport(HOME, id))!)).toContain("Reading-room purifier");
  });

  it("is answered as a paper, and with a plain refusal where there is none", async () => {
    const found = await getVisitReport(HOME, "visit-166");
    expect([found.status, found.headers.get("content-type")]).toEqual([200, "application/pdf"]);
    const none = await getVisitReport(HOME, "visit-none");
    expect([none.status, await none.json()]).toEqual([
      404,
      { error: { code: "unknown-visit", message: "There is no such visit.", path: [] } },
    ]);
  });
});

describe("why a part is likely to be needed, in words", () => {
  const part = { id: "p", unitId: "u", kind: "capacitor", name: "Capacitor", attributes: {} };
  const kind = "capacitor-uf" as const;
  it.each<[LikelyBecause, string]>([
    [
      { because: "read", kind, verdict: "act", on: plainDate("2026-01-04") },
      "capacitor read 4 Jan: act",
    ],
    [
      {
        because: "drifts",
        kind,
        early: plainDate("2026-06-01"),
        likely: plainDate("2026-09-09"),
      },
      "capacitor leaves its limits about 9 Sep, perhaps 1 Jun",
    ],
    [
      { because: "drifts", kind, early: null, likely: plainDate("2026-09-09") },
      "capacitor leaves its limits about 9 Sep",
    ],
    [
      { because: "seen", kind: "noise", word: "squeal", on: plainDate("2026-02-01") },
      "noise, 1 Feb: a squeal",
    ],
    [{ because: "age", years: 13, usualYears: 12 }, "13 years in; such a part lasts about 12"],
  ])("%j", (because, words) => {
    expect(likelyWords({ part, ...because }, today)).toBe(words);
  });

  it("says by what a part is bought, and nothing where nothing is known", () => {
    expect(partNumbers(part)).toBe("");
    expect(
      partNumbers({
        attributes: { rated: "5 µF ± 6 %" },
        identity: { make: "Corvid", model: "C-5", sealNumber: "K 40" },
      }),
    ).toBe("Corvid C-5, K 40, 5 µF ± 6 %");
  });
});

describe("what points to a part", () => {
  it("is a word that is really asked, and a part that machines really have", () => {
    for (const [seen, parts] of Object.entries(PART_FACTS.pointsTo)) {
      const [reading, word] = seen.split(":") as [keyof typeof WORD_KINDS, string];
      expect(Object.keys(WORD_KINDS[reading])).toContain(word);
      for (const id of parts) expect(partKind(id).id).toBe(id);
    }
    for (const id of Object.keys(PART_FACTS.lifeYears)) expect(partKind(id).id).toBe(id);
    expect(new Set(CHECK_ORDER).size).toBe(CHECK_ORDER.length);
  });
});

describe("what is typed of a visit", () => {
  const known = { units: ["a", "b"], contacts: ["c"], today, isPast: false };
  it("takes each machine once, and only those of the home", () => {
    const { values, problems } = readPlan(
      { reason: ["breakdown"], unit: ["a", "a", "x"], contactId: ["c"] },
      known,
    );
    expect(problems).toEqual({});
    expect(values.unitIds).toEqual(["a"]);
    expect(Object.keys(readPlan({ contactId: ["x"] }, known).problems).sort()).toEqual([
      "contactId",
      "reason",
      "unit",
    ]);
  });

  it("asks until when something is watched", () => {
    const of = { unitId: "a", parts: [{ id: "p", kind: "blower" }], currency: "EUR" };
    const watched = { words: ["dry"], decision: ["watch"] };
    expect(readFinding(watched, of).problems).toHaveProperty("until");
    const until = addDays(today, 30);
    expect(readFinding({ ...watched, until: [until], partId: ["p"] }, of)).toMatchObject({
      problems: {},
      values: { unitId: "a", partId: "p", words: "dry", decision: "watch", until },
    });
    expect(readFinding({ decision: ["now"], price: ["lots"] }, of).problems).toEqual({
      words: "Say what was found.",
      price: "Write it in EUR, such as 18.50.",
    });
  });

  it("plans the next one after this one", () => {
    const end = {
      ...{ verdict: ["sound"], signedBy: ["N."], nextOn: ["2026-03-14"] },
      nothing: ["yes"],
    };
    expect(readEnd(end, "EUR", today).problems).toEqual({
      nextOn: "The next one is after this one.",
    });
  });

  it("reads conditions in the home’s unit, and refuses what no place is", () => {
    const checks = [{ kind: "cooling-split-k" as const, unitId: "a" }];
    const of = {
      ...{ system: "us" as const, instruments: [], fogLimit: 40 },
      school: "label" as const,
    };
    const typed = { "value cooling-split-k@": ["18"], "unit cooling-split-k@": ["F"] };
    const { values } = readChecks({ ...typed, outdoor: ["14"] }, checks, of);
    expect(values.readings[0]!.taken).toMatchObject({ value: 10, conditions: { outdoorC: -10 } });
    expect(
      Object.keys(
        readChecks(
          { ...typed, outdoor: ["900"], minutesRunning: ["-1"], instrument: ["x"] },
          checks,
          of,
        ).problems,
      ).sort(),
    ).toEqual(["instrument", "minutesRunning", "outdoor"]);
  });
});
