import { deviceHome } from "./device-home";

describe("what a home begins with", () => {
  it.each([
    ["en-US,en;q=0.9", "us", "USD"],
    ["de, en-GB;q=0.8", "metric", "GBP"],
    ["zh-Hant-CA", "metric", "CAD"],
    ["de-AT,en-US;q=0.5", "metric", "EUR"],
    ["en", "metric", "EUR"],
    ["*;q=1, nonsense--, ", "metric", "EUR"],
    [null, "metric", "EUR"],
  ] as const)("for %s is %s and %s", (accepted, unitSystem, currency) => {
    expect(deviceHome(accepted)).toEqual({ unitSystem, currency });
  });
});
