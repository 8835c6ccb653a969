"use client";

import dynamic from "next/dynamic";
import { useEffect, useState } from "react";

type Said = {
  words: string;
  action?: { label: string; onClick: () => void };
  /** It stays until it is put away. */
  stays?: true;
};

const Toaster = dynamic(() => import("./toaster"), { ssr: false });

/** The library comes with the first thing said: most pages are left without a word. */
let stands: Promise<void> | null = null;
let ready: () => void = () => undefined;
let wanted: () => void = () => undefined;

/** Says something for ten seconds, with something to do about it. */
export async function say({ words, action, stays }: Said): Promise<void> {
  stands ??= new Promise((resolve) => (ready = resolve));
  wanted();
  await stands;
  const { toast } = await import("sonner");
  toast(words, { ...(action ? { action } : {}), ...(stays ? { duration: Infinity } : {}) });
}

/** Says what was done and offers to take it back, for ten seconds. */
export const undoToast = (words: string, undo: () => Promise<unknown>): void =>
  void say({ words, action: { label: "Undo", onClick: () => void undo() } });

/** Says what went wrong where there is no field to say it at. */
export const sayProblem = (words: string): void => void say({ words });

const itStands = () => ready();

/** Where toasts appear: once in a page. */
export function Toasts() {
  const [isWanted, setWanted] = useState(false);
  // What is said comes from anywhere in the page, beside React.
  useEffect(() => {
    wanted = () => setWanted(true);
    return () => {
      wanted = () => undefined;
    };
  }, []);
  return isWanted ? <Toaster onReady={itStands} /> : null;
}
