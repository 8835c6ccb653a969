import { actOnDemo, formOf, landing, nothingSent } from "../../../../tests/acting";
import type { DemoStore } from "../../../../tests/demo-store";
import { addLevel, addRegister, saveRoom, turnRegister } from "./rooms-actions";

jest.mock(
  "next/navigation",
  () =>
    jest.requireActual<typeof import("../../../../tests/acting")>("../../../../tests/acting")
      .navigation,
);
jest.setTimeout(60_000);

const HOME = "sluice-house";
let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
afterAll(() => demo.discard());
const snapshot = async () => (await demo.read(HOME)).snapshot;

describe("rooms and registers", () => {
  it("grow by a level, a room on it and a register there, whose lever turns", async () => {
    await landing(
      addLevel(HOME, nothingSent, formOf({ name: "Tower", place: "inside", storey: "4" })),
    );
    const tower = (await snapshot()).levels.find((level) => level.name === "Tower")!;
    expect((await snapshot()).levels[0]).toEqual(tower);
    const room = formOf({ name: "Lantern room", levelId: tower.id, sleeps: "on" });
    await landing(saveRoom(HOME, null, nothingSent, room));
    const made = (await snapshot()).rooms.find((each) => each.name === "Lantern room")!;
    expect(made).toMatchObject({ levelId: tower.id, sleeps: true });
    await landing(
      addRegister(HOME, nothingSent, formOf({ roomId: made.id, role: "return", place: "low" })),
    );
    const register = async () =>
      (await snapshot()).registers.find((each) => each.roomId === made.id)!;
    expect(await register()).toMatchObject({ role: "return", place: "low", isShut: false });
    await turnRegister(HOME, (await register()).id, true);
    expect((await register()).isShut).toBe(true);
    await landing(
      saveRoom(HOME, made.id, nothingSent, formOf({ name: "Lantern", levelId: tower.id })),
    );
    expect((await snapshot()).rooms.find((each) => each.id === made.id)).toMatchObject({
      name: "Lantern",
      sleeps: false,
    });
  });

  it("leave another home's levers alone", async () => {
    const before = (await snapshot()).registers;
    await turnRegister("boathouse", before[0]!.id, !before[0]!.isShut);
    expect((await snapshot()).registers).toEqual(before);
  });

  it("answer at the field", async () => {
    expect(
      (await saveRoom(HOME, null, nothingSent, formOf({ name: "", levelId: "" }))).errors,
    ).toEqual({
      name: "Give it a name.",
      levelId: "Choose its level.",
    });
    const storey = formOf({ name: "Sky", place: "inside", storey: "high" });
    expect((await addLevel(HOME, nothingSent, storey)).errors).toHaveProperty("storey");
    const role = formOf({ roomId: "x", role: "both", place: "" });
    expect((await addRegister(HOME, nothingSent, role)).errors).toHaveProperty("role");
  });
});
