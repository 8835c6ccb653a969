import { plainDate } from "@/core/quantities/plain-date";
import {
  emptyForm,
  fieldsOf,
  isDay,
  overtaken,
  readDay,
  readDecimal,
  readPastDay,
  readWhole,
} from "./forms";

describe("a field with an odd name", () => {
  it.each(["__proto__", "constructor", "toString", "hasOwnProperty", "$ACTION", "command-id"])(
    "%s is nothing, and what comes with it is read",
    (name) => {
      const form = new FormData();
      form.append(name, "odd");
      form.append("words", "it hums");
      form.append(name, "twice");
      expect(Object.entries(fieldsOf(form))).toEqual([["words", ["it hums"]]]);
      expect({}).not.toHaveProperty("odd");
    },
  );
});

describe("a number as people type one", () => {
  it.each([
    ["7", 7],
    [" 12 ", 12],
    ["0", 0],
    ["-5", null],
    ["0x10", null],
    ["1e3", null],
    ["3.5", null],
    ["", null],
    ["6001", null],
    ["９", null],
  ])("whole, 0 to 6000: “%s” is %s", (text, value) => {
    expect(readWhole(text, 0, 6000)).toBe(value);
  });
  it.each([
    ["3,5", 3.5],
    ["−2", -2],
    ["0x10", null],
    ["1e9", null],
    ["Infinity", null],
    ["3.", null],
    ["", null],
  ])("decimal: “%s” is %s", (text, value) => {
    expect(readDecimal(text)).toBe(value);
  });
});

describe("a day as people type one", () => {
  const today = plainDate("2026-03-14");
  it.each([
    ["0202-03-14", "too-early"],
    ["1899-12-31", "too-early"],
    ["2201-01-01", "too-late"],
    ["20260314", "unreadable"],
    ["", "missing"],
  ])("“%s” is %s", (text, problem) => {
    expect(readDay(text)).toBe(problem);
    expect(isDay(readPastDay(text, today))).toBe(false);
  });
  it("is one from 1900 on, and a past one up to today", () => {
    expect(readDay("1900-01-01")).toBe("1900-01-01");
    expect(readPastDay("2026-03-15", today)).toBe("future");
  });
});

describe("a form whose subject was saved by somebody else", () => {
  const sent = (opened: object) => {
    const form = new FormData();
    form.set("name", "Mine");
    form.set("opened-with", JSON.stringify(opened));
    return form;
  };
  const opened = { name: ["Cellar furnace"], note: [""] };

  it("is answered with both, and nothing of what was typed is lost", () => {
    const answer = overtaken(emptyForm(), sent(opened), { name: ["Theirs"], note: [""] });
    expect(answer).toEqual({
      attempt: 1,
      values: { name: ["Mine"] },
      errors: {},
      theirs: { name: ["Theirs"], note: [""] },
    });
  });
  it("is saved where nothing came between, an empty field or a missing one alike", () => {
    expect(overtaken(emptyForm(), sent(opened), { name: ["Cellar furnace"] })).toBeNull();
    expect(overtaken(emptyForm(), new FormData(), { name: ["Theirs"] })).toBeNull();
    const odd = new FormData();
    odd.set("opened-with", "{");
    expect(overtaken(emptyForm(), odd, { name: ["Theirs"] })).toBeNull();
  });
  it("keeps what it was opened with to itself", () => {
    expect(fieldsOf(sent(opened))).toEqual({ name: ["Mine"] });
  });
});
