/** What keeps a database from being written or read for the moment. */
export type Trouble = "busy" | "full" | "unwritable";

/**
 * The database could not be read or written for the moment. Nothing of a write was saved, and nothing is wrong
 * with what was asked: the same may be asked again. The digest is what a browser hears of an error;
 * `ui/trouble-words` has the words for it.
 */
export class StoreTrouble extends Error {
  readonly digest: string;
  constructor(
    readonly trouble: Trouble,
    cause: unknown,
  ) {
    super(`the database is ${trouble}`, { cause });
    this.name = "StoreTrouble";
    this.digest = `amber-${trouble}`;
  }
}

/** Told by its name: Next keeps several instances of a module, and of each class in it. */
export const isStoreTrouble = (error: unknown): error is StoreTrouble =>
  error instanceof Error && error.name === "StoreTrouble";

/** What a program hears of it. */
const MESSAGES: Readonly<Record<Trouble, string>> = {
  busy: "Busy, not saved yet: another program is writing to the same file. Ask again.",
  full: "The disk is full: nothing of this was saved. Make room and ask again.",
  unwritable: "The file with the data cannot be reached: nothing of this was saved. Ask again.",
};
const ASK_AGAIN_S = 2;

/**
 * A handler of the interface for programs, whose trouble with the database is an answer: 503, with the reason
 * in words and when to ask again.
 */
export const route =
  <A extends unknown[]>(handle: (...args: A) => Promise<Response>) =>
  async (...args: A): Promise<Response> => {
    try {
      const answer = await handle(...args);
      // What is true of a home now is true of no later moment: only what says so itself may be kept.
      if (!answer.headers.has("cache-control")) answer.headers.set("cache-control", "no-store");
      return answer;
    } catch (error) {
      if (!isStoreTrouble(error)) throw error;
      const { trouble } = error;
      return Response.json(
        { error: { code: trouble, message: MESSAGES[trouble], path: [] } },
        { status: 503, headers: { "retry-after": String(ASK_AGAIN_S) } },
      );
    }
  };
