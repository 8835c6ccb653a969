import { sqliteTable, text } from "drizzle-orm/sqlite-core";

/**
 * What was asked and done already: the same command sent twice acts once. Kept for a while, then let
 * go (see `server/commands/home-command.ts`).
 */
export const commands = sqliteTable("commands", {
  /** Made where the form was drawn. */
  id: text("id").primaryKey(),
  /** What it asked for: the same id with something else in it is another command. */
  digest: text("digest").notNull(),
  /** JSON: where it led. */
  answer: text("answer").notNull(),
  doneAt: text("done_at").notNull(),
});
