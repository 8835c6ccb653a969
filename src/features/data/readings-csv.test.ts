import { judgeInput } from "@/core/readings/judge";
import { HistoryRecord } from "@/core/history/history-record";
import { event, snapshot } from "../../../tests/small-home";
import { actOnDemo } from "../../../tests/acting";
import { getReadings, readingsCsv } from "./readings-csv";

jest.setTimeout(60_000);

describe("every reading as a table", () => {
  it("has the value as judged and as typed, its conditions, and whose it was", () => {
    const events = [
      event("reading", -3, {
        partId: undefined,
        visitId: "v1",
        words: 'said "odd", twice',
        reading: {
          ...judgeInput.parse({ kind: "cooling-split-k", value: 10, unit: "K" }),
          typed: { value: "18", unit: "F" },
          conditions: { instrumentId: "i", outdoorC: -3, running: "cooling", minutesRunning: 15 },
        },
      }),
      event("reading", -2, {
        partId: undefined,
        words: "=1+1",
        reading: judgeInput.parse({ kind: "noise", value: "squeal" }),
      }),
    ];
    const home = snapshot(events, {
      history: new HistoryRecord(events),
      instruments: [{ id: "i", name: "Clamp meter" }],
    });
    const [head, first, second] = readingsCsv(home).trim().split("\n");
    expect(head).toBe(
      "date,machine,part,reading,value,unit,typed,typed unit,seen,rated,verdict,instrument,outdoors C,running,minutes running,visit,note",
    );
    expect(first).toBe(
      '2026-03-11,Cellar furnace,,cooling-split-k,10,K,18,F,,,sound,Clamp meter,-3,cooling,15,v1,"said ""odd"", twice"',
    );
    // A note that begins like a formula stays a note.
    expect(second).toBe("2026-03-12,Cellar furnace,,noise,,,,,squeal,,act,,,,,,'=1+1");
  });

  it("is answered as a file to take away, with every reading of the home", async () => {
    const demo = await actOnDemo();
    const answer = await getReadings("sluice-house");
    expect(answer.headers.get("content-type")).toContain("text/csv");
    const lines = (await answer.text()).trim().split("\n");
    expect(lines.length).toBeGreaterThan(20);
    expect(lines.join("\n")).toContain("Clamp meter");
    expect((await getReadings("nowhere")).status).toBe(404);
    await demo.discard();
  });
});
