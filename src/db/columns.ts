import { z } from "zod";
import type { Attributes } from "@/core/inventory/attribute";

/** Drops the keys that hold nothing, so that a row and a form give the same plain data. */
export function withoutNulls<T extends object>(record: T): { [K in keyof T]?: NonNullable<T[K]> } {
  return Object.fromEntries(
    Object.entries(record).filter(([, value]) => value !== null && value !== undefined),
  ) as { [K in keyof T]?: NonNullable<T[K]> };
}

/** A column of JSON; null where it holds none, so that no row takes a page down. */
export function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

const attributesSchema = z.record(z.string(), z.string()).catch({});
export const readAttributesColumn = (json: string): Attributes =>
  attributesSchema.parse(readJson(json));
