import { moneyForm } from "./money-form";

const read = (fields: Record<string, string>, currency = "EUR") =>
  moneyForm(currency).safeParse(fields);

describe("the form of a machine’s money", () => {
  it("reads amounts in the home’s currency, and leaves out what is not known", () => {
    expect(read({ purchase: "4850", replacement: "6200,50", hour: "" }).data).toEqual({
      purchaseMinor: 485000,
      replacementMinor: 620050,
      hourMinor: undefined,
    });
    expect(read({}).data).toEqual({
      ...{ purchaseMinor: undefined, replacementMinor: undefined, hourMinor: undefined },
    });
    // A currency without a smaller unit takes none.
    expect(read({ purchase: "48500" }, "JPY").data?.purchaseMinor).toBe(48500);
    expect(read({ purchase: "485.50" }, "JPY").success).toBe(false);
  });

  it.each(["dear", "-5", "1,2,3", "1e9", "12.345"])("refuses “%s” at each field", (text) => {
    const { error } = read({ purchase: text, replacement: text, hour: text });
    expect(error?.issues.map(({ path }) => path[0])).toEqual(["purchase", "replacement", "hour"]);
    for (const { message } of error!.issues)
      expect(message).toBe("Write an amount in EUR, such as 2400.");
  });
});
