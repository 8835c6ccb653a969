/** The number of the database's last change, of whoever made it. */
type Version = () => Promise<number>;
/** Whether a write waits for another program that holds the file. */
type IsHeld = () => boolean;

// What serves the pages is bundled apart from Next, in the same process: the two share nothing else.
const shared = globalThis as typeof globalThis & {
  amberFile?: { version: Version; isHeld: IsHeld };
};

export const tellOfFile = (version: Version, isHeld: IsHeld): void => {
  shared.amberFile = { version, isHeld };
};

/** The number of the last change; null before the database is open. */
export const versionNow = async (): Promise<number | null> =>
  (await shared.amberFile?.version()) ?? null;

export const isFileHeld = (): boolean => shared.amberFile?.isHeld() ?? false;
