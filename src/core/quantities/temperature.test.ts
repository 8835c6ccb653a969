import fc from "fast-check";
import { degreesText, fromCelsius, retyped, spanText, toCelsius } from "./temperature";

const figures = fc.array(
  fc.integer({ min: -500, max: 1200 }).map((tenths) => String(tenths / 10)),
  { minLength: 1, maxLength: 12 },
);

describe("figures in the other unit", () => {
  it("come back as they were typed, to and fro any number of times", () => {
    fc.assert(
      fc.property(
        figures,
        fc.constantFrom("C", "F"),
        fc.constantFrom("temperatures", "differences"),
        (typed, from, what) => {
          const to = from === "C" ? "F" : "C";
          let text = typed.join(" ");
          for (let i = 0; i < 3; i++) {
            text = retyped(retyped(text, from, to, what), to, from, what);
            expect(text).toBe(typed.join(" "));
          }
        },
      ),
    );
  });

  it("come back from the store as they were typed, and in the other unit as short as they can", () => {
    expect(degreesText(toCelsius(21, "F"), "F")).toBe("21");
    expect(degreesText(-6.11, "F")).toBe("21");
    expect(degreesText(21.1, "F")).toBe("69.98");
    expect(spanText(10, "F")).toBe("18");
    expect(retyped("-12 3.5", "C", "F")).toBe("10.4 38.3");
    expect(fromCelsius(-40, "F")).toBe(-40);
  });

  it("leave alone what is no list of figures", () => {
    expect(retyped("-9, minus two", "C", "F")).toBe("-9, minus two");
    expect(retyped("", "C", "F")).toBe("");
  });
});
