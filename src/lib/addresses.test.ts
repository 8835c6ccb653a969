import { publicAddress } from "./addresses";

describe("where another device finds this app", () => {
  it("is the name it was asked by", () => {
    expect(publicAddress("sluice.lan:4180", {})).toBe("http://sluice.lan:4180");
    expect(publicAddress("192.168.4.20", {})).toBe("http://192.168.4.20");
  });

  it("is never a name that means every device itself", () => {
    for (const host of ["localhost:4180", "127.0.0.1", "[::1]:4180", "LOCALHOST", null])
      expect([host, publicAddress(host, {})]).toEqual([host, null]);
  });

  it("is what was configured, however it was asked", () => {
    const env = { AMBER_PUBLIC_URL: "https://house.example/lintel/" };
    expect(publicAddress("localhost:4180", env)).toBe("https://house.example/lintel");
    expect(publicAddress("sluice.lan", env)).toBe("https://house.example/lintel");
  });
});
