"use client";

import { createContext, useContext, type ReactNode } from "react";

/** Which English a home reads. */
export type English = "us" | "gb";

const EnglishContext = createContext<English>("gb");

/** Says which English the home around reads. */
export function EnglishProvider({ english, children }: { english: English; children: ReactNode }) {
  return <EnglishContext value={english}>{children}</EnglishContext>;
}

export const useEnglish = (): English => useContext(EnglishContext);
