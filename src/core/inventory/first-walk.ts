import type { Level, LevelPlace, Main, Room, SetUpStep, Unit } from "./inventory";

/** The first stop of a walk, where the whole house is shut off, and the last, which asks about its past. */
export const MAINS_STOP = "mains";
export const PAST_STOP = "past";
/** Not a stop but the word for a walk that somebody ended. */
export const END_STOP = "end";

/**
 * What a picture of a main shut-off is kept under, among those of the stops.
 *
 * @example mainPicture("gas") // "main-gas"
 */
export const mainPicture = (main: Main): string => `main-${main}`;

/** A place one stands in: a room, or what a level has beside its rooms. */
export type WalkPlace = {
  key: string;
  level: Level;
  room?: Room;
  isSeen: boolean;
  /** What was found there, in the order in which it was entered. */
  machines: Unit[];
};

/** Where a walk goes on: a stop by its key, or a machine at the step where it was left. */
export type WalkOn = { stop: string } | { unitId: string; step: SetUpStep };

export type FirstWalk = {
  isMainsSeen: boolean;
  places: WalkPlace[];
  isPastSeen: boolean;
  /** Machines whose plate, shut-offs, filters or parts are not written down yet. */
  halfEntered: Unit[];
  /** Stops and machines seen, and how many there are. */
  seen: number;
  total: number;
  /** Everything there is to see, in order. */
  stops: { isSeen: boolean; on: WalkOn }[];
};

const SIDES: readonly LevelPlace[] = ["inside", "outbuilding", "outdoors"];

/**
 * The levels in the order of a walk: the house from the top down, so that no stair is climbed twice,
 * then what stands beside it, then the yard.
 *
 * @example walkOrder([{ storey: -1, place: "inside" }, { storey: 1, place: "inside" }]).map(({ storey }) => storey) // [1,-1]
 */
export const walkOrder = (levels: readonly Level[]): Level[] =>
  [...levels].sort(
    (a, b) => SIDES.indexOf(a.place) - SIDES.indexOf(b.place) || b.storey - a.storey,
  );

/**
 * The stop of a room or level.
 *
 * @example placeStop({ roomId: "r1" }) // "room-r1"
 */
export const placeStop = (place: { roomId: string } | { levelId: string }): string =>
  "roomId" in place ? `room-${place.roomId}` : `level-${place.levelId}`;

/**
 * The first walk through a house as it stands: the mains, every level with its rooms, each with its
 * machines, and the past.
 *
 * @param seen keys of the stops that were seen
 * @example firstWalk({ levels: [], rooms: [], units: [] }, new Set(["mains"])).stops.length // 2
 */
export function firstWalk(
  {
    levels,
    rooms,
    units,
  }: { levels: readonly Level[]; rooms: readonly Room[]; units: readonly Unit[] },
  seen: ReadonlySet<string>,
): FirstWalk {
  const isInRoom = ({ roomId }: Unit) => rooms.some(({ id }) => id === roomId);
  const places = walkOrder(levels).flatMap((level): WalkPlace[] => {
    const place = (key: string, machines: Unit[], room?: Room): WalkPlace => ({
      key,
      level,
      ...(room ? { room } : {}),
      isSeen: seen.has(key),
      machines,
    });
    return [
      place(
        placeStop({ levelId: level.id }),
        units.filter((unit) => unit.levelId === level.id && !isInRoom(unit)),
      ),
      ...rooms
        .filter(({ levelId }) => levelId === level.id)
        .map((room) =>
          place(
            placeStop({ roomId: room.id }),
            units.filter(({ roomId }) => roomId === room.id),
            room,
          ),
        ),
    ];
  });
  const halfEntered = units.filter(({ setUpStep }) => setUpStep !== undefined);
  const stops: { isSeen: boolean; on: WalkOn }[] = [
    { isSeen: seen.has(MAINS_STOP), on: { stop: MAINS_STOP } },
    ...places.flatMap(({ key, isSeen, machines }) => [
      { isSeen, on: { stop: key } },
      ...machines.map(({ id, setUpStep }) => ({
        isSeen: setUpStep === undefined,
        on: { unitId: id, step: setUpStep ?? ("plate" as const) },
      })),
    ]),
    { isSeen: seen.has(PAST_STOP), on: { stop: PAST_STOP } },
  ];
  return {
    isMainsSeen: seen.has(MAINS_STOP),
    places,
    isPastSeen: seen.has(PAST_STOP),
    halfEntered,
    seen: stops.filter(({ isSeen }) => isSeen).length,
    total: stops.length,
    stops,
  };
}

/**
 * Where a walk goes on: behind the stop just seen, so that what was left out is not asked at every
 * turn; at the end of the round it comes back to that. Null when everything was seen.
 *
 * @param after the stop's key or the machine's id one comes from
 * @example walkOn({ stops: [{ isSeen: true, on: { stop: "mains" } }, { isSeen: false, on: { stop: "past" } }] }) // {"stop":"past"}
 */
export function walkOn({ stops }: Pick<FirstWalk, "stops">, after?: string): WalkOn | null {
  const at = stops.findIndex(({ on }) => ("stop" in on ? on.stop : on.unitId) === after);
  const round = [...stops.slice(at + 1), ...stops.slice(0, at + 1)];
  return round.find(({ isSeen }) => !isSeen)?.on ?? null;
}
