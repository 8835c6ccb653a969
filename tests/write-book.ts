/** Writes Sluice House as plain data: making it up inside Jest takes ten times as long. */
import { writeFileSync } from "node:fs";
import { sluiceHouse } from "../demo/demo-homes";
import { plainDate } from "../src/core/quantities/plain-date";
import { NOW, TEMPLATE } from "./demo-template";

const { snapshot: book } = sluiceHouse(plainDate(NOW.slice(0, 10)), new Date(NOW));
writeFileSync(`${TEMPLATE}/sluice-house.json`, JSON.stringify(book));
