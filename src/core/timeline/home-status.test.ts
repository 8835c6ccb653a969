import { smallStatus } from "../../../scripts/example-names";
import { day, today } from "../../../tests/small-home";
import { fromDay, toDay } from "../quantities/plain-date";

describe("the dates of a job on a day", () => {
  const until = day(365);
  const job = (id: string) => smallStatus.jobs.find(({ task }) => task.id === id)!;

  it("are those in which it stands, and of the one after by the day it is done", () => {
    const renew = job("slot.renew");
    const calculator = smallStatus.calculatorOf(renew, until)!;
    expect(fromDay(calculator.now()!.due!)).toBe(renew.due);
    const done = renew.ahead[0]!;
    expect(fromDay(calculator.after(toDay(done))!.due!)).toBe(renew.ahead[1]);
    // Done a week later, the next is due later too.
    const later = calculator.after(toDay(done) + 7)!.due!;
    expect(later).toBeGreaterThan(toDay(renew.ahead[1]!));
  });

  it("are none where nothing calls for it but something that was noticed", () => {
    const look = job("slot.look");
    const calculator = smallStatus.calculatorOf(look, until);
    expect(calculator?.now() ?? null).toBeNull();
    expect(calculator?.after(toDay(today)) ?? null).toBeNull();
    expect(look).toMatchObject({ due: null, called: null, state: "none" });
  });

  it("has no calls in a home where nothing was noticed", () => {
    expect(smallStatus.calls.size).toBe(0);
  });
});
