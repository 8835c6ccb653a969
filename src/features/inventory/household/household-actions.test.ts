import { previewDriver } from "./driver-preview";
import { listNos } from "@/db/repositories/drivers";
import { actOnDemo, formOf, landing, nothingSent } from "../../../../tests/acting";
import type { DemoStore } from "../../../../tests/demo-store";
import { answerNo, askAgain, bringDriverBack, removeDriver, saveDriver } from "./household-actions";

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

const drivers = async () => (await demo.read(HOME)).snapshot.drivers;
const fields = {
  kind: "indoor-smoking",
  scope: "home",
  count: "",
  fraction: "",
  from: "",
  to: "",
  label: "",
};

describe("what surrounds the filters", () => {
  it("is saved for a room, changed, removed and brought back", async () => {
    const form = formOf({ ...fields, scope: "room:upper-reading-room", label: "the pipe" });
    await landing(saveDriver(HOME, null, nothingSent, form));
    const made = (await drivers()).at(-1)!;
    expect(made).toMatchObject({ scope: "room", roomId: "upper-reading-room", label: "the pipe" });
    await landing(
      saveDriver(HOME, made.id, nothingSent, formOf({ ...fields, from: "2026-01-01" })),
    );
    expect((await drivers()).at(-1)).toEqual({
      id: made.id,
      scope: "home",
      kind: "indoor-smoking",
      from: "2026-01-01",
    });
    await removeDriver(HOME, made.id);
    expect((await drivers()).map(({ id }) => id)).not.toContain(made.id);
    await bringDriverBack(HOME, made.id);
    expect((await drivers()).map(({ id }) => id)).toContain(made.id);
  });

  it.each(["room:moon", "system:none", "part:boat-fine"])("does not act at %s", async (scope) => {
    const refusal = await saveDriver(HOME, null, nothingSent, formOf({ ...fields, scope }));
    expect(refusal.errors).toEqual({ scope: "Choose where it acts." });
  });

  it("shows its effect without saving anything", async () => {
    const before = await drivers();
    const form = formOf({ ...fields, kind: "renovation", from: "2026-03-10" });
    const effects = (await previewDriver(HOME, null, form))!;
    expect(effects[0]!.daysSooner).toBeGreaterThan(0);
    expect(await drivers()).toEqual(before);
    // Without its beginning it can't be read, and nothing is shown.
    expect(await previewDriver(HOME, null, formOf({ ...fields, kind: "renovation" }))).toBeNull();
    expect(await previewDriver("nowhere", null, form)).toBeNull();
  });

  it("is asked once: no is an answer, until it is asked again or turns to yes", async () => {
    const nos = () => listNos(demo.store.db, HOME);
    await answerNo(HOME, "busy-road");
    await answerNo(HOME, "busy-road");
    await answerNo(HOME, "dusty-region");
    await answerNo(HOME, "ghosts");
    expect((await nos()).sort()).toEqual(["busy-road", "dusty-region"]);
    await askAgain(HOME, "dusty-region");
    await landing(saveDriver(HOME, null, nothingSent, formOf({ ...fields, kind: "busy-road" })));
    expect(await nos()).toEqual([]);
  });
});
