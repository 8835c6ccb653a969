import { sql } from "drizzle-orm";
import type { SizeMm } from "@/core/quantities/size";
import type { Reader } from "../client";

export type FoundRow = {
  kind: "unit" | "part" | "note" | "contact" | "procedure";
  refId: string;
  unitId: string | null;
  partId: string | null;
  title: string;
};

/** An entry that is out of sight is not found: what was removed, corrected or withdrawn. */
const IN_SIGHT = sql`
  (entries.unit_id is null or exists (
    select 1 from units where units.id = entries.unit_id and units.deleted_at is null))
  and (entries.part_id is null or exists (
    select 1 from parts where parts.id = entries.part_id and parts.deleted_at is null))
  and (entries.kind <> 'contact' or exists (
    select 1 from contacts where contacts.id = entries.ref_id and contacts.deleted_at is null))
  and (entries.kind <> 'note' or not exists (
    select 1 from events where events.corrects_id = entries.ref_id))`;

/** Everything of a home with words that begin like each of these, the closest first. */
export async function findByWords(
  db: Reader,
  homeId: string,
  words: readonly string[],
  limit: number,
): Promise<FoundRow[]> {
  if (words.length === 0) return [];
  const match = words.map((word) => `"${word.replaceAll('"', '""')}"*`).join(" ");
  return db.all<FoundRow>(sql`
    select entries.kind, entries.ref_id as "refId", entries.unit_id as "unitId",
      entries.part_id as "partId", entries.title
    from search_words
    join search_entries entries on entries.id = search_words.rowid
    where search_words match ${match}
      and entries.home_id in (${homeId}, '')
      and ${IN_SIGHT}
    order by case entries.kind when 'note' then 1 else 0 end, bm25(search_words, 8, 1)
    limit ${limit}`);
}

export type FoundSlot = { partId: string; unitId: string };

/**
 * The slots that take a filter of this size, whichever way it is held: by its printed or its
 * measured width and height, and its depth where both are known.
 *
 * @param toleranceMm how far a size may be off, as when it was typed in the other unit
 */
export async function findBySize(
  db: Reader,
  homeId: string,
  { w, h, d }: SizeMm,
  toleranceMm: number,
): Promise<FoundSlot[]> {
  const near = (column: string, value: number) =>
    sql`abs(${sql.raw(column)} - ${value}) <= ${toleranceMm}`;
  const face = (kind: string) => sql`
    ((${near(`${kind}_width_mm`, w)} and ${near(`${kind}_height_mm`, h)})
      or (${near(`${kind}_width_mm`, h)} and ${near(`${kind}_height_mm`, w)}))
    ${d === undefined ? sql`` : sql`and (${sql.raw(`${kind}_depth_mm`)} is null or ${near(`${kind}_depth_mm`, d)})`}`;
  return db.all<FoundSlot>(sql`
    select parts.id as "partId", parts.unit_id as "unitId"
    from filter_slots
    join parts on parts.id = filter_slots.part_id
    join units on units.id = parts.unit_id
    where units.home_id = ${homeId} and units.deleted_at is null and parts.deleted_at is null
      and (${face("nominal")} or ${face("measured")})
    order by parts.created_at`);
}

/** Writes the procedures of the library down to be found; those that are gone are taken out. */
export async function indexProcedures(
  db: Reader,
  list: readonly { id: string; title: string; words: string }[],
): Promise<void> {
  for (const { id, title, words } of list)
    await db.run(sql`
      insert into search_entries (home_id, kind, ref_id, title, body)
      values ('', 'procedure', ${id}, ${title}, ${words})
      on conflict (kind, ref_id) do update set title = excluded.title, body = excluded.body
      where title <> excluded.title or body <> excluded.body`);
  const ids = sql.join(
    list.map(({ id }) => sql`${id}`),
    sql`, `,
  );
  await db.run(sql`delete from search_entries where kind = 'procedure' and ref_id not in (${ids})`);
}
