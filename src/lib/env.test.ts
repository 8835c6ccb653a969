import { readEnv } from "./env";
import { themeSchema } from "./theme";

describe("configuration", () => {
  it("needs nothing: loopback, a port and a file of its own", () => {
    expect(readEnv({})).toEqual({
      AMBER_DB: "data/amber-lintel.db",
      AMBER_HOST: "127.0.0.1",
      AMBER_PORT: 4180,
    });
  });
  it("takes what is set", () => {
    const set = {
      AMBER_DB: "x.db",
      AMBER_HOST: "0.0.0.0",
      AMBER_PORT: "80",
      AMBER_CLOCK: "2026-03-14T08:30:00Z",
    };
    expect(readEnv({ ...set, PATH: "/bin" })).toEqual({ ...set, AMBER_PORT: 80 });
  });
  it.each([
    [{ AMBER_PORT: "no" }, "AMBER_PORT must be a port number"],
    [{ AMBER_PORT: "70000" }, "AMBER_PORT must be 1 to 65535"],
    [{ AMBER_PORT: "80.5" }, "AMBER_PORT must be a whole number"],
    [{ AMBER_CLOCK: "noon" }, "AMBER_CLOCK must be an instant"],
    [{ AMBER_DB: "" }, "AMBER_DB"],
  ])("says what is wrong with %j", (source, words) => {
    expect(() => readEnv(source)).toThrow(words);
  });
  it("falls back to the device's own theme on a cookie it doesn't know", () => {
    expect(themeSchema.parse("sepia")).toBe("auto");
    expect(themeSchema.parse("dark")).toBe("dark");
  });
});
