import { execFileSync } from "node:child_process";

/** A process knows its zone from the start on: each zone is asked in a process of its own. */
const dayWhere = (zone: string, instant: string): string =>
  execFileSync(
    process.execPath,
    ["--require", "tsx/cjs", "-p", 'require("./src/lib/clock.ts").todayHere()'],
    { env: { ...process.env, TZ: zone, AMBER_CLOCK: instant }, encoding: "utf8" },
  ).trim();

describe("the day it is where this computer stands", () => {
  it.each([
    ["eight hours behind", "Etc/GMT+8", "2026-03-15T02:00:00Z", "2026-03-14"],
    ["twelve hours ahead", "Etc/GMT-12", "2026-03-14T20:00:00Z", "2026-03-15"],
    ["at the line itself", "Etc/UTC", "2026-03-14T23:59:59Z", "2026-03-14"],
  ])("%s", (_, zone, instant, day) => {
    expect(dayWhere(zone, instant)).toBe(day);
  });
});
