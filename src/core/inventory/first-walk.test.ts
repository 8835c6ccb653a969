import fc from "fast-check";
import { firstWalk, placeStop, walkOn, walkOrder, type WalkOn } from "./first-walk";
import type { Level, Room, Unit } from "./inventory";

const level = (id: string, storey: number, place: Level["place"] = "inside"): Level => ({
  id,
  name: id,
  storey,
  place,
});
const room = (id: string, levelId: string): Room => ({ id, levelId, name: id, sleeps: false });
const unit = (id: string, levelId: string, rest: Partial<Unit> = {}): Unit => ({
  id,
  levelId,
  systemId: id,
  kind: "boiler",
  name: id,
  attributes: {},
  shutOffs: [],
  ...rest,
});

const LEVELS = [
  level("yard", 0, "outdoors"),
  level("cellar", -1),
  level("stable", 0, "outbuilding"),
  level("upper", 1),
];
const HOME = {
  levels: LEVELS,
  rooms: [room("bath", "upper"), room("study", "upper")],
  units: [
    unit("head", "upper", { roomId: "study", setUpStep: "filters" }),
    unit("furnace", "cellar", { setUpStep: "plate" }),
    unit("alarm", "upper"),
  ],
};
const names = (stops: { on: WalkOn }[]) =>
  stops.map(({ on }) => ("stop" in on ? on.stop : `${on.unitId} at ${on.step}`));

describe("the first walk", () => {
  it("goes from the top down, then beside the house, then round it", () => {
    expect(walkOrder(LEVELS).map(({ id }) => id)).toEqual(["upper", "cellar", "stable", "yard"]);
  });

  it("takes a level, its rooms, and in each what was found there", () => {
    expect(names(firstWalk(HOME, new Set()).stops)).toEqual([
      "mains",
      "level-upper",
      "alarm at plate",
      "room-bath",
      "room-study",
      "head at filters",
      "level-cellar",
      "furnace at plate",
      "level-stable",
      "level-yard",
      "past",
    ]);
  });

  it("counts what was seen: stops, and machines entered whole", () => {
    const walk = firstWalk(HOME, new Set(["mains", "level-upper", "room-gone"]));
    expect([walk.seen, walk.total, walk.isMainsSeen, walk.isPastSeen]).toEqual([
      3,
      11,
      true,
      false,
    ]);
    expect(walk.halfEntered.map(({ id }) => id)).toEqual(["head", "furnace"]);
  });

  it("takes a machine whose room was taken out as standing on its level", () => {
    const orphan = unit("cooler", "upper", { roomId: "gone" });
    const { places } = firstWalk({ ...HOME, units: [orphan] }, new Set());
    expect(places[0]!.machines).toEqual([orphan]);
  });

  it("goes on behind the stop just seen, and round to what was left out", () => {
    const walk = firstWalk(HOME, new Set(["mains", "level-upper", "room-study"]));
    expect(walkOn(walk)).toEqual({ stop: "room-bath" });
    expect(walkOn(walk, "room-study")).toEqual({ unitId: "head", step: "filters" });
    expect(walkOn(walk, "head")).toEqual({ stop: "level-cellar" });
    expect(walkOn(walk, "past")).toEqual({ stop: "room-bath" });
    expect(walkOn({ stops: [{ isSeen: true, on: { stop: "past" } }] }, "past")).toBeNull();
  });

  it("comes to an end whatever is seen in which order", () => {
    const keys = ["mains", "past", ...LEVELS.map(({ id }) => placeStop({ levelId: id }))];
    fc.assert(
      fc.property(fc.shuffledSubarray(keys), (first) => {
        const seen = new Set(first);
        let at = first.at(-1);
        for (let i = 0; i <= keys.length; i++) {
          const on = walkOn(firstWalk({ levels: LEVELS, rooms: [], units: [] }, seen), at);
          if (!on) break;
          at = "stop" in on ? on.stop : on.unitId;
          expect(seen.has(at)).toBe(false);
          seen.add(at);
        }
        expect(seen.size).toBe(keys.length);
      }),
    );
  });
});
