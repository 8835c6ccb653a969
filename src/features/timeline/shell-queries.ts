import { listHomes } from "@/server/snapshots/beside";
import { homeSnapshot, homeStatus, shownOnce } from "@/server/snapshots/snapshot-cache";
import { inSentence } from "@/core/quantities/words";
import "server-only";
import { pathOfTask } from "@/presentation/task-words";
import { unitKind } from "@/content/unit-kinds";
import type { Lintel } from "@/core/timeline/lintel";
import type { HomeStatus } from "@/core/timeline/home-status";
import { todayIn } from "@/lib/clock";

export type PegPlace = { words: string; path: string };

export type Shell = {
  homeId: string;
  homeName: string;
  homes: { id: string; name: string }[];
  lintel: Lintel;
  unitNames: Record<string, string>;
  /** By job: where a peg leads, and what its card says. */
  pegPlaces: Record<string, PegPlace>;
  hasRunHours: boolean;
  /** In which order days are written here. */
  dayOrder: "day-first" | "month-first";
};

export async function shellOf(homeId: string): Promise<Shell | null> {
  const snapshot = await homeSnapshot(homeId);
  if (!snapshot) return null;
  const status = homeStatus(snapshot, todayIn(snapshot.home.timeZone));
  const unitNames = Object.fromEntries(snapshot.units.map((unit) => [unit.id, unit.name]));
  return {
    homeId,
    homeName: snapshot.home.name,
    homes: (await listHomes()).map(({ id, name }) => ({ id, name })),
    lintel: status.lintel,
    unitNames,
    pegPlaces: shownOnce(status, "pegs", () => pegPlacesOf(status)),
    dayOrder: snapshot.home.unitSystem === "us" ? "month-first" : "day-first",
    hasRunHours: snapshot.units.some((unit) => {
      const { equipment } = unitKind(unit.kind);
      return equipment.heats || equipment.cools;
    }),
  };
}

/** Where each job that hangs from the lintel leads. */
function pegPlacesOf({ jobs }: HomeStatus): Record<string, PegPlace> {
  const named = jobs.filter(({ ahead }) => ahead.length > 0);
  return Object.fromEntries(
    named.map(({ task, unit }): [string, PegPlace] => [
      task.id,
      {
        words: unit ? `${unit.name}: ${inSentence(task.name)}` : task.name,
        path: pathOfTask(task),
      },
    ]),
  );
}

export async function firstHomeId(): Promise<string | null> {
  return (await listHomes())[0]?.id ?? null;
}
