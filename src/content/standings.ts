import { cache } from "react";
import type { PlainDate } from "@/core/quantities/plain-date";
import type { HomeBook, ScopedDriver } from "@/core/register/register";
import { standingOf, type Standing } from "@/core/register/standing";
import { DRIVER_WORDS } from "./words";

/** A driver inside a sentence of reasons: in the owner's own word where there is one. */
export const reasonWords = (driver: ScopedDriver): string =>
  driver.label ?? DRIVER_WORDS[driver.kind].reason(driver.count);

/** How every slot of a home stands today, worked out once for all that one request shows. */
export const standingsOf = cache((book: HomeBook, today: PlainDate): Standing[] =>
  book.slots.map((slot) => standingOf(book, slot, today, reasonWords)),
);
