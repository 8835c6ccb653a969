import { actOnDemo } from "../../../../tests/acting";
import type { DemoStore } from "../../../../tests/demo-store";
import { getReadyCalendar } from "./ready-calendar";

jest.setTimeout(60_000);
let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
afterAll(() => demo.discard());

const calendarIn = async (timeZone: string): Promise<string> => {
  await demo.store.client.execute({
    sql: "UPDATE homes SET time_zone = ? WHERE id = 'sluice-house'",
    args: [timeZone],
  });
  const request = new Request("http://127.0.0.1/", { headers: { host: "127.0.0.1" } });
  return (await getReadyCalendar("demo-core-run", request)).text();
};
/** The wall clock’s hours and minutes at which an entry begins, as minutes of the day. */
const beginsAt = (calendar: string): number => {
  const [, hours, minutes] = /DTSTART[^:]*:\d{8}T(\d\d)(\d\d)\d\d(?!Z)/.exec(calendar)!;
  return Number(hours) * 60 + Number(minutes);
};

describe("the calendar entry of what dries", () => {
  it("is written by the clock on the home’s own wall, whatever the server’s says", async () => {
    const here = await calendarIn("Etc/UTC");
    // An hour ahead, and ten behind: the same instant, by another clock.
    const east = await calendarIn("Etc/GMT-1");
    expect((beginsAt(east) - beginsAt(here) + 1440) % 1440).toBe(60);
    const west = await calendarIn("Etc/GMT+10");
    expect((beginsAt(here) - beginsAt(west) + 1440) % 1440).toBe(600);
    expect(west).toMatch(/DTSTART;TZID="?Etc\/GMT\+10"?:/);
  });

  it("is none for a run in which nothing dries", async () => {
    expect((await getReadyCalendar("none", new Request("http://127.0.0.1/"))).status).toBe(404);
  });
});
