import { readFileSync } from "node:fs";
import { plainDate } from "../src/core/quantities/plain-date";
import type { HomeBook } from "../src/core/inventory/inventory";
import { NOW, TEMPLATE } from "./demo-template";

export const today = plainDate(NOW.slice(0, 10));

/** Sluice House on the day of every test, as its maker made it up. */
export const book = JSON.parse(readFileSync(`${TEMPLATE}/sluice-house.json`, "utf8")) as HomeBook;
