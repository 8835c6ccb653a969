import fc from "fast-check";
import { addDays, fromDay, plainDate, toDay } from "../quantities/plain-date";
import { calledByWeather, weatherOf } from "./weather-calls";

const january = plainDate("2026-01-20");
const now = toDay(january);
const dates = { opens: now - 21, due: now, closes: now + 21 };
const week = (meanC: number, from = 7) =>
  Array.from({ length: from }, (_, i) => ({ date: addDays(january, -i), meanC }));
const snow = (meanC: number | null, due = now - 3) =>
  calledByWeather(
    "snow",
    { opens: due, due, closes: due + 2 },
    { today: now, actuals: meanC === null ? [] : week(meanC), offsetDays: 0 },
  );

describe("what waits for its weather", () => {
  it("is snow, leaf fall, the first warm day, the first frost; nothing else", () => {
    const season = (anchor: "leafFall" | "firstWarmDay" | "firstFrost" | "heatingStart") =>
      weatherOf({ kind: "season", anchor, offsetDays: 0 });
    expect(season("leafFall")).toBe("leaf-fall");
    expect(season("firstWarmDay")).toBe("first-warm-day");
    expect(season("firstFrost")).toBe("first-frost");
    expect(season("heatingStart")).toBeNull();
    const weekly = (within: "snow" | "heating") =>
      weatherOf({ kind: "every", n: 1, unit: "week", within });
    expect([weekly("snow"), weekly("heating")]).toEqual(["snow", null]);
  });

  it("is not called for by thaw, and is within three days of a day on which snow may lie", () => {
    expect(snow(5)).toEqual({ for: "snow", usual: fromDay(now - 3) });
    expect(snow(-2)).toEqual({ opens: now - 3, due: now - 3, closes: now });
    // Of no known weather: looked for every week of its season.
    expect(snow(null)).toEqual({ opens: now - 3, due: now - 3, closes: now - 1 });
    expect(snow(-2, now + 2)).toMatchObject({ for: "snow" });
  });

  it("comes early with early weather, late with late, and at the window’s end whatever it was", () => {
    const leaves = (today: number, meanC: number) =>
      calledByWeather("leaf-fall", dates, {
        today,
        actuals: week(meanC).map(({ date }, i) => ({
          date: fromDay(today - i),
          meanC: date ? meanC : 0,
        })),
        offsetDays: 0,
      });
    expect(leaves(now - 10, 4)).toMatchObject({ due: now - 16 });
    expect(leaves(now + 10, 14)).toMatchObject({ for: "leaf-fall" });
    expect(leaves(now + 21, 14)).toEqual(dates);
    expect(leaves(now - 22, 4)).toMatchObject({ for: "leaf-fall" });
  });

  it("has a due day or waits, never both, and is never due before its season", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -40, max: 40 }),
        fc.array(fc.double({ min: -30, max: 40, noNaN: true }), { maxLength: 12 }),
        fc.constantFrom("snow", "leaf-fall", "first-warm-day", "first-frost"),
        (ahead, means, weather) => {
          const today = now + ahead;
          const actuals = means.map((meanC, i) => ({ date: fromDay(today - i), meanC }));
          const called = calledByWeather(weather, dates, { today, actuals, offsetDays: 0 });
          if ("for" in called) return called.for === weather;
          const first = weather === "snow" ? dates.due : dates.opens;
          return called.due !== null && called.due >= first && called.due <= today + 21;
        },
      ),
    );
  });
});
