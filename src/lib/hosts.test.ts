import { isKnownHost } from "./hosts";

describe("who may ask", () => {
  it.each([
    ["localhost:4180", {}, true],
    ["127.0.0.1:4180", {}, true],
    ["[::1]:4180", {}, true],
    ["LOCALHOST", {}, true],
    ["192.168.7.2:4180", { AMBER_HOST: "192.168.7.2" }, true],
    ["192.168.7.2:4180", { AMBER_HOST: "0.0.0.0" }, false],
    ["cellar.home:4180", { AMBER_HOST: "0.0.0.0", AMBER_HOSTS: "cellar.home, 192.168.7.2" }, true],
    ["evil.example", {}, false],
    ["localhost.evil.example", {}, false],
    ["127.0.0.1.evil.example:4180", {}, false],
    ["0.0.0.0:4180", { AMBER_HOST: "0.0.0.0" }, false],
    ["", {}, false],
    [null, {}, false],
  ])("%s with %j: %s", (host, env, known) => {
    expect(isKnownHost(host, env)).toBe(known);
  });
});
