"use server";

import { z } from "zod";
import { dateSchema } from "@/core/quantities/schemas";
import { inHome, type OpenHome } from "@/server/commands/home-command";
import * as year from "@/server/commands/year";
import type { YearAnswer } from "@/server/commands/year";

/** What may go wrong beside what a command answers: it could not be read. */
export type Answered = YearAnswer | { kind: "unreadable" };

const occurrenceSchema = z.strictObject({ task: z.string().max(200), day: dateSchema });
/** More occurrences than a year of any home has. */
const MOST_OCCURRENCES = 20_000;

/** Runs a command of the year with what was sent, once that can be read. */
async function asked<T>(
  homeId: string,
  schema: z.ZodType<T>,
  sent: unknown,
  command: (home: OpenHome, given: T) => Promise<YearAnswer>,
): Promise<Answered> {
  const given = schema.safeParse(sent);
  if (!given.success) return { kind: "unreadable" };
  return (await inHome(homeId, (home) => command(home, given.data))) ?? { kind: "nothing" };
}

const draftSchema = z.strictObject({
  madeOn: dateSchema,
  horizonEnd: dateSchema,
  days: z.array(occurrenceSchema).max(MOST_OCCURRENCES),
});
export const keepDraft = async (homeId: string, draft: z.input<typeof draftSchema>) =>
  asked(homeId, draftSchema, draft, year.keepDraft);

const moveSchema = z.strictObject({
  version: z.number().int().nullable(),
  move: z.strictObject({ of: z.array(occurrenceSchema).min(1).max(400), to: dateSchema }),
});
export const moveDays = async (homeId: string, move: z.input<typeof moveSchema>) =>
  asked(homeId, moveSchema, move, year.moveInDraft);

const pinSchema = occurrenceSchema.extend({ isPinned: z.boolean() });
export const pin = async (homeId: string, at: z.input<typeof pinSchema>) =>
  asked(homeId, pinSchema, at, year.setPin);

const publishSchema = z.strictObject({ id: z.string(), version: z.number().int() });
export const publish = async (homeId: string, draft: z.input<typeof publishSchema>) =>
  asked(homeId, publishSchema, draft, year.publishDraft);

export const takeBack = async (homeId: string, id: string) =>
  asked(homeId, z.string(), id, year.takeBackPublished);

const discardSchema = z.strictObject({ id: z.string(), isDiscarded: z.boolean() });
export const discard = async (homeId: string, draft: z.input<typeof discardSchema>) =>
  asked(homeId, discardSchema, draft, year.setDiscarded);

const roundSchema = z.strictObject({ person: z.string().max(100), day: dateSchema });
const announceSchema = roundSchema.extend({ isAnnounced: z.boolean() });
export const announce = async (homeId: string, round: z.input<typeof announceSchema>) =>
  asked(homeId, announceSchema, round, year.setAnnounced);

const startSchema = roundSchema.extend({ order: z.array(z.string().max(200)).min(1).max(200) });
export const startRound = async (homeId: string, round: z.input<typeof startSchema>) =>
  asked(homeId, startSchema, round, year.startRound);

const endSchema = z.strictObject({
  id: z.string(),
  /** Why what is off stays off. */
  words: z.string().trim().min(3).max(300).optional(),
});
export const endRound = async (homeId: string, round: z.input<typeof endSchema>) =>
  asked(homeId, endSchema, round, year.endRound);
