import "server-only";
import { shortKindName, unitKind } from "@/content/unit-kinds";
import { partKind } from "@/content/part-kinds";
import type { WalkFind } from "@/content/first-walk";
import { END_STOP, type WalkPlace } from "@/core/inventory/first-walk";
import type { DriverFacts, FilterSlot, Mains, Part } from "@/core/inventory/inventory";
import type { PlainDate } from "@/core/quantities/plain-date";
import { freeName, inSentence } from "@/core/quantities/words";
import { updateHome } from "@/db/repositories/homes";
import { forgetStop, listWalkStops, markStopSeen, saveWalkDraft } from "@/db/repositories/walk";
import { addSlot } from "./filters";
import { createdAt, reread, type OpenHome } from "./home-command";
import { saveDriver } from "./household";
import { addRegister, saveRoom } from "./rooms";
import { addMissingParts, addPart, beginUnit, changePart, enterWhole } from "./units";

/** Something found at a place. */
export type Found = {
  find: WalkFind;
  /** The machine it belongs to; null where that was not found yet. */
  unitId: string | null;
  /** Of a filter: its size as read off its frame, and the day it went in where that is known. */
  nominal?: FilterSlot["nominal"];
  identity?: FilterSlot["identity"];
  fittedOn?: PlainDate;
  /** Of an alarm. */
  madeOn?: PlainDate;
  /** Of the outer end of a machine: where it is, in words. */
  where?: string;
};

export type SeenPlace = {
  /** Rooms of a level that were not entered yet. */
  rooms: readonly string[];
  /** Of a room: whether somebody sleeps there, and the registers it lacks. */
  sleeps: boolean;
  supplies: number;
  returns: number;
  found: readonly Found[];
};

const LONGEST_PLACE = 120;

/** Where something is, with one more place of the same: a ventilator has a valve in many rooms. */
function alsoAt(place: string | undefined, more: string): string {
  if (!place) return more;
  const together = `${place}, ${more}`;
  const has = place.split(", ").some((each) => each.toLowerCase() === more.toLowerCase());
  return has || together.length > LONGEST_PLACE ? place : together;
}

/** The same command some milliseconds later: what it enters keeps the order in which it was typed. */
const later = (home: OpenHome, ms: number): OpenHome => ({
  ...home,
  now: new Date(home.now.getTime() + ms),
});

/** Notes a place of the first walk as seen, and enters what was found there. */
export async function seePlace(
  home: OpenHome,
  { key, level, room }: WalkPlace,
  { rooms, sleeps, supplies, returns, found }: SeenPlace,
): Promise<void> {
  for (const [nth, name] of rooms.entries())
    await saveRoom(later(home, nth), null, { name, levelId: level.id, sleeps: false });
  if (room) {
    if (sleeps !== room.sleeps) await saveRoom(home, room.id, { ...room, sleeps });
    for (let i = 0; i < supplies; i++)
      await addRegister(later(home, i), { roomId: room.id, role: "supply", isShut: false });
    for (let i = 0; i < returns; i++)
      await addRegister(later(home, i), { roomId: room.id, role: "return", isShut: false });
  }
  // Each finding may belong to a machine that the one before it began.
  let now = home;
  for (const each of found) {
    await enterFound(now, { level, room }, each);
    now = later(await reread(now), 1);
  }
  await markStopSeen(home.tx, home.homeId, key, createdAt(home));
}

type Place = Pick<WalkPlace, "level"> & { room: WalkPlace["room"] };

/** A name nobody has yet, by the room where that tells it from its like: “Kitchen thermostat”. */
function nameAt({ snapshot }: OpenHome, kindId: string, room: Place["room"]): string {
  const short = shortKindName(kindId);
  const isSaid = room && short.toLowerCase().includes(room.name.toLowerCase());
  const wanted = room && !isSaid ? `${room.name} ${inSentence(short)}` : short;
  return freeName(
    wanted,
    [...snapshot.units, ...snapshot.retired].map(({ name }) => name),
  );
}

async function enterFound(home: OpenHome, { level, room }: Place, found: Found): Promise<void> {
  const { makes } = found.find;
  const place = { levelId: level.id, ...(room ? { roomId: room.id } : {}) };
  if ("unit" in makes) {
    const facts = {
      kind: makes.unit,
      name: nameAt(home, makes.unit, room),
      ...place,
      ...(found.madeOn ? { attributes: { "made-on": found.madeOn } } : {}),
    };
    if (!makes.whole) await beginUnit(home, facts);
    else {
      const id = await enterWhole(home, facts);
      const parts = unitKind(makes.unit).parts.filter(({ usual }) => usual);
      await addMissingParts(
        home,
        id,
        parts.map(({ kind }) => ({ kind, count: 1 })),
      );
    }
    return;
  }
  const unitId = found.unitId ?? (await ownerOf(home, makes.at, level.id));
  if ("slot" in makes) {
    const names = home.snapshot.slots.filter((slot) => slot.unitId === unitId);
    await addSlot(
      home,
      unitId,
      {
        ...makes.slot,
        name: freeName(
          makes.slot.name,
          names.map(({ name }) => name),
        ),
        ...(room ? { roomId: room.id } : { place: level.name }),
        filterCount: 1,
        ...(found.nominal ? { nominal: found.nominal } : {}),
        ...(found.identity ? { identity: found.identity } : {}),
        direction: "unknown",
        cutToSize: false,
        seat: "rail",
        indicator: false,
      },
      found.fittedOn,
    );
    return;
  }
  const where = found.where ?? room?.name ?? level.name;
  const has = home.snapshot.parts.find(
    (part) => part.unitId === unitId && part.kind === makes.part,
  );
  if (has) await changePart(home, has, partFacts(has, alsoAt(has.place, where)));
  else
    await addPart(home, unitId, makes.part, {
      name: partKind(makes.part).name,
      place: where,
      attributes: {},
    });
}

function partFacts(part: Part, place: string) {
  const { id: _, unitId: __, kind: ___, ...facts } = part;
  return { ...facts, place };
}

/** The machine that something belongs to which nobody has found yet: it is begun, to be found later. */
async function ownerOf(home: OpenHome, kinds: readonly string[], levelId: string): Promise<string> {
  const known = home.snapshot.units.find(({ kind }) => kinds.includes(kind));
  return (
    known?.id ??
    beginUnit(home, { kind: kinds[0]!, name: nameAt(home, kinds[0]!, undefined), levelId })
  );
}

/** Notes where the whole house is shut off. */
export async function seeMains(home: OpenHome, stop: string, mains: Mains): Promise<void> {
  await updateHome(home.tx, { ...home.snapshot.home, mains });
  await markStopSeen(home.tx, home.homeId, stop, createdAt(home));
}

/** Notes what those before left behind; what is there already is not entered twice. */
export async function seePast(
  home: OpenHome,
  stop: string,
  traces: readonly DriverFacts[],
): Promise<void> {
  for (const trace of traces) {
    const isThere = home.snapshot.drivers.some(
      ({ kind, from, to }) => kind === trace.kind && from === trace.from && to === trace.to,
    );
    if (!isThere) await saveDriver(home, null, { ...trace, scope: "home" });
  }
  await markStopSeen(home.tx, home.homeId, stop, createdAt(home));
}

/** Keeps what is typed at a stop, right or wrong, until it is saved. */
export const keepStop = (
  { tx, homeId }: OpenHome,
  stop: string,
  typed: Record<string, string[]>,
): Promise<void> => saveWalkDraft(tx, homeId, stop, typed);

/** The stops seen so far, those of this very command among them. */
export const stopsSeen = async ({ tx, homeId }: OpenHome): Promise<Set<string>> =>
  new Set((await listWalkStops(tx, homeId)).flatMap(({ stop, seenAt }) => (seenAt ? [stop] : [])));

/** Ends the walk, whatever was left out of it. */
export const endWalk = (home: OpenHome): Promise<void> =>
  markStopSeen(home.tx, home.homeId, END_STOP, createdAt(home));

/** Takes the walk up again. */
export const resumeWalk = ({ tx, homeId }: OpenHome): Promise<void> =>
  forgetStop(tx, homeId, END_STOP);
