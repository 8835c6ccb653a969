/** The number of the database's last change, of whoever made it. */
type Version = () => Promise<number>;

// What serves the pages is bundled apart from Next, in the same process: the two share nothing else.
const shared = globalThis as typeof globalThis & { amberVersion?: Version };

export const tellVersion = (version: Version): void => {
  shared.amberVersion = version;
};

/** The number of the last change; null before the database is open. */
export const versionNow = async (): Promise<number | null> =>
  (await shared.amberVersion?.()) ?? null;
