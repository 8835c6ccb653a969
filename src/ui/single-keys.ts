import { tinykeys } from "tinykeys";

/**
 * Keys of the window, each a letter or sign alone, until somebody turns them off. Gives back what
 * ends it, for an effect.
 */
export function singleKeys(keys: Record<string, (event: KeyboardEvent) => void>): () => void {
  const unlessOff = (act: (event: KeyboardEvent) => void) => (event: KeyboardEvent) => {
    if (document.documentElement.dataset["keys"] !== "off") act(event);
  };
  const bound = Object.entries(keys).map(([key, act]) => [key, unlessOff(act)] as const);
  return tinykeys(window, Object.fromEntries(bound));
}
