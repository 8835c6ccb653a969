import { existsSync, readdirSync, statSync } from "node:fs";
import path from "node:path";
import { readPlainDate, type PlainDate } from "@/core/quantities/plain-date";

/** Where copies lie beside a database: those somebody asked for, and those of every day. */
export const COPY_FOLDERS = { asked: "copies", daily: "daily-copies" } as const;
/** How the names of files begin that stood there until a copy was put back. */
export const ASIDE = "before-restore-";

/** How the names of copies begin that somebody brought from elsewhere. */
export const BROUGHT = "brought-";

export const COPY_KINDS = ["daily", "asked", "brought", "aside"] as const;
export type CopyKind = (typeof COPY_KINDS)[number];
/** A copy beside the database: where it lies, what it is called, of which day, and how large it is. */
export type CopyBeside = {
  kind: CopyKind;
  file: string;
  name: string;
  day: PlainDate;
  bytes: number;
};

const DAY_IN_NAME = /(\d{4}-\d{2}-\d{2})(-\d+)?\.db$/;

const databasesIn = (kind: CopyKind, folder: string): CopyBeside[] =>
  existsSync(folder)
    ? readdirSync(folder).flatMap((name) => {
        const day = readPlainDate(DAY_IN_NAME.exec(name)?.[1] ?? "");
        const isOne = day && (kind !== "aside" || name.startsWith(ASIDE));
        const file = path.join(folder, name);
        // A link may point at nothing.
        const stat = isOne ? statSync(file, { throwIfNoEntry: false }) : undefined;
        const of = kind === "asked" && name.startsWith(BROUGHT) ? "brought" : kind;
        return isOne && stat?.isFile() ? [{ kind: of, file, name, day, bytes: stat.size }] : [];
      })
    : [];

/** Every copy that lies beside a database, the newest day first. */
export function copiesBeside(database: string): CopyBeside[] {
  const folder = path.dirname(database);
  return [
    ...databasesIn("daily", path.join(folder, COPY_FOLDERS.daily)),
    ...databasesIn("asked", path.join(folder, COPY_FOLDERS.asked)),
    ...databasesIn("aside", folder),
  ].toSorted((a, b) => (a.day === b.day ? 0 : a.day < b.day ? 1 : -1));
}
