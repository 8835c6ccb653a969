import { plainDate } from "@/core/quantities/plain-date";
import type { JobStatus } from "@/core/scheduling/schedule";
import { dueWords, jobFill, lastWords, deferralWords, windowWords } from "./schedule-words";

const today = plainDate("2026-03-14");
const every = { kind: "every", n: 10, unit: "day", within: undefined } as const;
const jobStatus = (extra: Partial<JobStatus>): JobStatus => ({
  task: {
    ...{ id: "home.walk", key: "walk", name: "Walk", kind: "home", trigger: every, who: "owner" },
    ...{
      handsOn: 5,
      waiting: 0,
      alsoDoes: [],
      isOff: false,
      isChanged: false,
      isSafety: false,
      settles: [],
      isUnreadable: false,
      isOwn: false,
    },
    procedureIds: [],
  },
  unit: null,
  opens: null,
  due: null,
  closes: null,
  state: "none",
  because: every,
  lastDone: null,
  problem: null,
  since: null,
  deferral: null,
  called: null,
  isFirstTime: false,
  apart: [],
  waits: null,
  ahead: [],
  ...extra,
});
const dates = (opens: string, due: string, closes: string) => ({
  opens: plainDate(opens),
  due: plainDate(due),
  closes: plainDate(closes),
});

describe("a job put off", () => {
  const tried = { on: plainDate("2026-03-12"), words: "the ladder is too short" };
  it("says until when and why; once that day has come, that it was tried in vain", () => {
    const until = plainDate("2026-03-21");
    expect(deferralWords({ deferral: { ...tried, until } }, today)).toBe(
      "put off to Sat 21 Mar: the ladder is too short",
    );
    expect(deferralWords({ deferral: { ...tried, until } }, until)).toBe(
      "not possible on Thu 12 Mar: the ladder is too short",
    );
    expect(deferralWords({ deferral: null }, today)).toBe("");
  });
});

describe("when a job is due, in words", () => {
  it.each([
    [dates("2026-04-01", "2026-04-10", "2026-04-12"), "not-yet", "in about 4 weeks", "1 to 12 Apr"],
    [dates("2026-03-10", "2026-03-20", "2026-04-02"), "open", "in 6 days", "10 Mar to 2 Apr"],
    [dates("2026-03-01", "2026-03-12", "2026-03-20"), "due", "now", "until 20 Mar"],
    [dates("2026-03-14", "2026-03-14", "2026-03-28"), "due", "today", "until 28 Mar"],
    [
      dates("2025-10-01", "2025-11-01", "2025-12-28"),
      "past",
      "2 months over",
      "was due by 28 Dec 2025",
    ],
    [dates("2026-02-01", "2026-03-10", "2026-03-13"), "past", "1 day over", "was due by 13 Mar"],
  ] as const)("%j, %s: %s, %s", (window, state, due, context) => {
    expect(dueWords({ ...window, state }, today)).toBe(due);
    expect(windowWords({ ...window, state }, today)).toBe(context);
  });

  it("has no words for what nothing calls for, and few for what is years off", () => {
    expect(dueWords(jobStatus({}), today)).toBe("");
    expect(windowWords(jobStatus({}), today)).toBe("");
    expect(dueWords(jobStatus({ state: "not-yet" }), today)).toBe("not within three years");
    const bare = { opens: null, due: plainDate("2026-03-20"), closes: null };
    expect(windowWords({ ...bare, state: "not-yet" }, today)).toBe("Fri 20 Mar");
    expect(windowWords({ ...bare, state: "due" }, today)).toBe("since 20 Mar");
  });

  it("says when it was last done, or from when it is owed", () => {
    const last = plainDate("2026-03-04");
    expect(lastWords(jobStatus({ lastDone: last }), today)).toBe("last Wed 4 Mar, 10 days ago");
    expect(lastWords(jobStatus({ since: last }), today)).toBe("not done yet, counted from 4 Mar");
    expect(lastWords(jobStatus({}), today)).toBe("not done yet");
    const age = { kind: "age", minYears: 5, maxYears: 7 } as const;
    expect(lastWords(jobStatus({ since: last, because: age }), today)).toBe("not done yet");
  });
});

describe("how far a job has come", () => {
  const at = (lastDone: string, due: string) =>
    jobFill(
      jobStatus({ lastDone: plainDate(lastDone), due: plainDate(due), state: "open" }),
      today,
    );
  it("is the share of its time that has passed, beyond 1 when it is over", () => {
    expect(at("2026-03-04", "2026-03-24")).toBe(0.5);
    expect(at("2026-03-14", "2026-03-24")).toBe(0);
    expect(at("2026-02-22", "2026-03-04")).toBe(2);
  });
  it("is nothing where nothing calls for it, and full where it was called for at once", () => {
    expect(jobFill(jobStatus({}), today)).toBeNull();
    const day = plainDate("2026-03-10");
    expect(jobFill(jobStatus({ opens: day, due: day, state: "due" }), today)).toBe(1);
    const later = plainDate("2026-03-20");
    expect(jobFill(jobStatus({ opens: later, due: later, state: "not-yet" }), today)).toBe(0);
  });
});
