import { actOnDemo } from "../../../tests/acting";
import type { DemoStore } from "../../../tests/demo-store";
import { appStore } from "@/db/app-store";
import { listHomes } from "./beside";
import { readFirstHome } from "./first-home";
import { homeNow, lastRead } from "./snapshot-cache";

jest.setTimeout(90_000);
const said = jest.spyOn(console, "error").mockImplementation(() => undefined);
let demo: DemoStore;
beforeAll(async () => (demo = await actOnDemo()));
beforeEach(() => said.mockClear());
afterAll(() => demo.discard());

describe("the home a start leads to", () => {
  it("where it can't be read the start goes on, and it is said", async () => {
    await demo.store.client.execute("ALTER TABLE filter_slots RENAME TO elsewhere");
    await readFirstHome();
    expect(said).toHaveBeenCalled();
    await demo.store.client.execute("ALTER TABLE elsewhere RENAME TO filter_slots");
  });

  it("is read before anybody asks for it: the first page reads no history", async () => {
    await readFirstHome();
    expect(said).not.toHaveBeenCalled();
    const [{ id } = { id: "" }] = await listHomes();
    const read = await lastRead(await appStore(), id);
    expect(read?.snapshot.home.id).toBe(id);
    expect(await homeNow(id)).toBe(read);
  });

  it("where there is none, nothing is said", async () => {
    await demo.store.client.execute("UPDATE homes SET deleted_at = '2026-03-14T08:00:00Z'");
    await readFirstHome();
    expect(said).not.toHaveBeenCalled();
  });
});
