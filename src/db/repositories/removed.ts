import { and, asc, eq, isNotNull } from "drizzle-orm";
import { z } from "zod";
import { inSentence } from "@/core/quantities/words";
import type { Reader } from "../client";
import { readJson } from "../columns";
import {
  contacts,
  drivers,
  homes,
  ownProcedures,
  parts,
  photos,
  registers,
  rooms,
  settings,
  findings,
  units,
  visits,
} from "../schema";
import { listRemovedPeople } from "./year";

export type Removed = {
  kind:
    | "unit"
    | "slot"
    | "home"
    | "room"
    | "register"
    | "contact"
    | "driver"
    | "photo"
    | "entry"
    | "setting"
    | "procedure"
    | "visit"
    | "finding"
    | "person";
  id: string;
  name: string;
  deletedAt: string;
};

/** How what has no name of its own is called: somebody or something of the household, a picture's day. */
type Names = { nameOf: (driverKind: string) => string; dayOf: (instant: string) => string };

/** What was taken out of a home, and the homes taken out altogether, the latest first. */
export async function listRemoved(
  db: Reader,
  homeId: string,
  { nameOf, dayOf }: Names,
): Promise<Removed[]> {
  const inHome = await db
    .select({ id: units.id, name: units.name, deletedAt: units.deletedAt })
    .from(units)
    .where(and(eq(units.homeId, homeId), isNotNull(units.deletedAt)));
  const slots = await db
    .select({ id: parts.id, name: parts.name, unit: units.name, deletedAt: parts.deletedAt })
    .from(parts)
    .innerJoin(units, eq(units.id, parts.unitId))
    .where(and(eq(units.homeId, homeId), isNotNull(parts.deletedAt)));
  const gone = await db
    .select({ id: homes.id, name: homes.name, deletedAt: homes.deletedAt })
    .from(homes)
    .where(isNotNull(homes.deletedAt));
  const inRooms = await db
    .select({ id: rooms.id, name: rooms.name, deletedAt: rooms.deletedAt })
    .from(rooms)
    .where(and(eq(rooms.homeId, homeId), isNotNull(rooms.deletedAt)));
  const aborted = await db
    .select({ id: registers.id, name: rooms.name, deletedAt: registers.deletedAt })
    .from(registers)
    .innerJoin(rooms, eq(rooms.id, registers.roomId))
    .where(and(eq(rooms.homeId, homeId), isNotNull(registers.deletedAt)));
  const called = await db
    .select({ id: contacts.id, name: contacts.name, deletedAt: contacts.deletedAt })
    .from(contacts)
    .where(and(eq(contacts.homeId, homeId), isNotNull(contacts.deletedAt)));
  const lived = await db
    .select({
      id: drivers.id,
      label: drivers.label,
      kind: drivers.kind,
      deletedAt: drivers.deletedAt,
    })
    .from(drivers)
    .where(and(eq(drivers.homeId, homeId), isNotNull(drivers.deletedAt)));
  const taken = await db
    .select({
      id: photos.id,
      unit: units.name,
      fileName: photos.fileName,
      addedAt: photos.addedAt,
      deletedAt: photos.deletedAt,
    })
    .from(photos)
    .leftJoin(units, eq(units.id, photos.unitId))
    .where(and(eq(photos.homeId, homeId), isNotNull(photos.deletedAt)));
  const written = await db
    .select({
      id: ownProcedures.id,
      procedure: ownProcedures.procedure,
      deletedAt: ownProcedures.deletedAt,
    })
    .from(ownProcedures)
    .where(and(eq(ownProcedures.homeId, homeId), isNotNull(ownProcedures.deletedAt)));
  const planned = await db
    .select({ id: visits.id, day: visits.visitDay, deletedAt: visits.deletedAt })
    .from(visits)
    .where(and(eq(visits.homeId, homeId), isNotNull(visits.deletedAt)));
  const found = await db
    .select({ id: findings.id, name: findings.words, deletedAt: findings.deletedAt })
    .from(findings)
    .innerJoin(visits, eq(visits.id, findings.visitId))
    .where(and(eq(visits.homeId, homeId), isNotNull(findings.deletedAt)));
  const notes = await db
    .select()
    .from(settings)
    .where(eq(settings.homeId, homeId))
    .orderBy(asc(settings.ordinal));
  const as = (
    kind: Removed["kind"],
    rows: readonly { id: string; name: string; deletedAt: string | null }[],
  ): Removed[] =>
    rows.map(({ id, name, deletedAt }) => ({ kind, id, name, deletedAt: deletedAt! }));
  const removed: Removed[] = [
    ...as("unit", inHome),
    ...as("finding", found),
    ...as("person", await listRemovedPeople(db, homeId)),
    ...as(
      "visit",
      planned.map((row) => ({ ...row, name: `A visit${row.day ? `, ${row.day}` : ""}` })),
    ),
    ...as(
      "slot",
      slots.map((row) => ({ ...row, name: `${row.unit}, ${inSentence(row.name)}` })),
    ),
    ...as("room", inRooms),
    ...as("register", aborted),
    ...as("contact", called),
    ...as(
      "driver",
      lived.map(({ label, kind, ...row }) => ({ ...row, name: label ?? nameOf(kind) })),
    ),
    ...as(
      "photo",
      taken.map(({ unit, fileName, addedAt, ...row }) => ({
        ...row,
        name: [unit ?? "The house", fileName ?? `of ${dayOf(addedAt)}`].join(", "),
      })),
    ),
    ...as(
      "procedure",
      written.map(({ procedure, ...row }) => ({ ...row, name: titleIn(procedure) })),
    ),
    ...as("setting", takenOff(notes)),
    ...as("home", gone),
  ];
  return removed.sort((a, b) => (a.deletedAt < b.deletedAt ? 1 : -1));
}

const titleSchema = z.object({ title: z.string() }).catch({ title: "A procedure" });
const titleIn = (procedure: string): string => titleSchema.parse(readJson(procedure)).title;

type Note = typeof settings.$inferSelect;
const thing = ({ unitId, partId, key }: Note) => [partId ?? unitId, key].join(" ");

/** Settings whose last note takes them off the sheet, each as it last stood on it. */
function takenOff(notes: readonly Note[]): { id: string; name: string; deletedAt: string }[] {
  const last = new Map(notes.map((note) => [thing(note), note]));
  return [...last.values()].flatMap((off) => {
    const stood = notes.findLast((note) => note.value !== null && thing(note) === thing(off));
    return off.value === null && stood
      ? [{ id: stood.id, name: `${stood.label}: ${stood.value}`, deletedAt: off.createdAt }]
      : [];
  });
}
