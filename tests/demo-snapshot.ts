import { readFileSync } from "node:fs";
import { plainDate } from "../src/core/quantities/plain-date";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { HistoryRecord } from "../src/core/history/history-record";
import { NOW, TEMPLATE } from "./demo-template";

export const today = plainDate(NOW.slice(0, 10));

/** Sluice House on the day of every test, as its maker made it up. */
const stored = JSON.parse(readFileSync(`${TEMPLATE}/sluice-house.json`, "utf8")) as HomeSnapshot;
export const snapshot: HomeSnapshot = {
  ...stored,
  history: new HistoryRecord(stored.history.entries),
};
