/** What the database told of a save that came to nothing, by the digest of its error, in words with what to do. */
const WORDS: Readonly<Record<string, string>> = {
  "amber-busy":
    "Busy, not saved yet: another program is writing to the same file. What you typed is still here; press Save again in a moment.",
  "amber-full":
    "The disk is full, so nothing of this was saved. What you typed is still here; make room, then press Save again.",
  "amber-unwritable":
    "The file with your data can’t be written just now, so nothing of this was saved. What you typed is still here; press Save again.",
};

/** The same where a page could not be shown, or a press came to nothing. */
const PAGE_WORDS: Readonly<Record<string, { title: string; words: string }>> = {
  "amber-busy": {
    title: "Busy for the moment",
    words:
      "Another program is using the same file. What was saved before is safe; what you pressed last is not saved yet.",
  },
  "amber-full": {
    title: "The disk is full",
    words:
      "What was saved before is safe; what you pressed last is not saved. Make room on the disk, then try again: nothing has to be started anew.",
  },
  "amber-unwritable": {
    title: "The data can’t be reached just now",
    words:
      "What was saved before is safe; what you pressed last is not saved. Look whether the disk is there and may be written, then try again.",
  },
};

const digestOf = (error: unknown): string =>
  error instanceof Error && "digest" in error ? String(error.digest) : "";

/** Why a form was not saved; undefined where the error says nothing of it. */
export const notSavedWords = (error: unknown): string | undefined => WORDS[digestOf(error)];

/** What a page says in its place. */
export const pageTroubleWords = (error: unknown): { title: string; words: string } | undefined =>
  PAGE_WORDS[digestOf(error)];
