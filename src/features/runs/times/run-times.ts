import { againKey, endWordsOf } from "@/core/runs/run";
import type { RunPlace, RunState, Timer } from "@/core/runs/run-state";
import { instantOf } from "@/core/runs/loose-ends";

/** Something of a run that is over at a known instant: a foam at work, a core drying. */
export type RunTime = { key: string; words: string; readyAt: string; isDrying: boolean };

/** What of a run dries, the last to be ready; null when nothing does. */
export function dryingOf(state: RunState, place: RunPlace): RunTime | null {
  const drying = state.ends.open.flatMap((end): RunTime[] => {
    if (end.end !== "part-drying" || end.readyAt === undefined) return [];
    const words = endWordsOf(state, place, end.id) ?? "something dries";
    return [{ key: end.id, words, readyAt: end.readyAt, isDrying: true }];
  });
  return drying.sort((a, b) => instantOf(b.readyAt) - instantOf(a.readyAt))[0] ?? null;
}

/** A time matters as long as a step that waits for it is still to come. */
const isAwaited = (state: RunState, timer: Timer): boolean =>
  state.steps.some(
    (step) =>
      (step.waitsFor?.includes(timer.key) === true || timer.key === againKey(step.id)) &&
      !state.completed.some((each) => each.step.id === step.id),
  );

/** The times that run in a run, the first to be over before the others. */
export function timesOf(state: RunState, place: RunPlace): RunTime[] {
  const timers = state.aborted
    ? []
    : state.timers
        .filter((timer) => isAwaited(state, timer))
        .map(({ key, words, readyAt }) => ({ key, words, readyAt, isDrying: false }));
  const drying = dryingOf(state, place);
  return [...timers, ...(drying ? [drying] : [])].sort(
    (a, b) => instantOf(a.readyAt) - instantOf(b.readyAt),
  );
}

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
/** Above this, hours are enough. */
const COUNT_HOURS_FROM_MS = 3 * HOUR;

/** “22 h left”, “1 h 05 left”, “7:32 left”, “over”. */
export function leftWords(readyAt: string, now: number): string {
  const left = instantOf(readyAt) - now;
  if (left <= 0) return "over";
  if (left >= COUNT_HOURS_FROM_MS) return `${Math.round(left / HOUR)} h left`;
  const two = (n: number) => String(n).padStart(2, "0");
  if (left >= HOUR)
    return `${Math.floor(left / HOUR)} h ${two(Math.floor((left % HOUR) / MINUTE))} left`;
  const seconds = Math.ceil(left / 1000);
  return `${Math.floor(seconds / 60)}:${two(seconds % 60)} left`;
}
