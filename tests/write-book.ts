/** Writes Sluice House as plain data: making it up inside Jest takes ten times as long. */
import { writeFileSync } from "node:fs";
import { sluiceHouse } from "../demo/demo-homes";
import { demoYear } from "../demo/demo-year";
import { plainDate } from "../src/core/quantities/plain-date";
import { NOW, TEMPLATE } from "./demo-template";

const today = plainDate(NOW.slice(0, 10));
const { snapshot: book } = sluiceHouse(today, new Date(NOW));
const year = demoYear(book, today);
writeFileSync(`${TEMPLATE}/sluice-house.json`, JSON.stringify({ ...book, year }));
