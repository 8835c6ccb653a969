/** How the field looks in which one types what to find, before its list is there and after. */
export const FIND_FIELD =
  "min-h-14 w-full border-b-2 border-ink bg-transparent px-5 text-lg outline-none";
export const FIND_PLACEHOLDER = "A unit, a part, a size such as 20x20, a word of a note";
