import { inSentence } from "@/core/quantities/words";
import "server-only";
import { agendaNow } from "@/server/snapshots/agendas";
import { pathOfTask } from "@/presentation/task-words";
import { unitKind } from "@/content/unit-kinds";
import type { PlainDate } from "@/core/quantities/plain-date";
import { lintelOf, type Lintel } from "@/core/timeline/lintel";
import type { HomeBook } from "@/core/inventory/inventory";
import { appStore } from "@/db/app-store";
import { homeBook } from "@/db/home-book";
import { listHomes } from "@/db/repositories/homes";
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
};

export async function shellOf(homeId: string): Promise<Shell | null> {
  const book = await homeBook(homeId);
  if (!book) return null;
  const { db } = await appStore();
  const today = todayIn(book.home.timeZone);
  const unitNames = Object.fromEntries(book.units.map((unit) => [unit.id, unit.name]));
  return {
    homeId,
    homeName: book.home.name,
    homes: (await listHomes(db)).map(({ id, name }) => ({ id, name })),
    lintel: lintelNow(book, today),
    unitNames,
    pegPlaces: pegPlacesOf(book, today),
    hasRunHours: book.units.some((unit) => {
      const { equipment } = unitKind(unit.kind);
      return equipment.heats || equipment.cools;
    }),
  };
}

/** Where each job that hangs from the lintel leads. */
function pegPlacesOf(book: HomeBook, today: PlainDate): Record<string, PegPlace> {
  const named = agendaNow(book, today).filter(({ ahead }) => ahead.length > 0);
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

const drawn = new WeakMap<HomeBook, { today: PlainDate; lintel: Lintel }>();

/** The year of a home, worked out once as long as nothing under it changes. */
function lintelNow(book: HomeBook, today: PlainDate): Lintel {
  const before = drawn.get(book);
  if (before?.today === today) return before.lintel;
  const lintel = lintelOf(book, agendaNow(book, today), today);
  drawn.set(book, { today, lintel });
  return lintel;
}

export async function firstHomeId(): Promise<string | null> {
  const { db } = await appStore();
  return (await listHomes(db))[0]?.id ?? null;
}
