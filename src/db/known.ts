import { z } from "zod";
import type { Answers } from "@/core/register/question";

/** Drops the keys that hold nothing, so that a row and a form give the same plain data. */
export function known<T extends object>(record: T): { [K in keyof T]?: NonNullable<T[K]> } {
  return Object.fromEntries(
    Object.entries(record).filter(([, value]) => value !== null && value !== undefined),
  ) as { [K in keyof T]?: NonNullable<T[K]> };
}

const answersSchema = z.record(z.string(), z.string());
export const readAnswerColumn = (json: string): Answers => answersSchema.parse(JSON.parse(json));
