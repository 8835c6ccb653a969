/** Runs once when the server starts: brings the database to the present schema and library. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const { foldWhenStopped, keepDailyCopies, prepareAppStore } = await import("./db/app-store");
  const { procedureWords } = await import("./content/procedures/library");
  try {
    await prepareAppStore(procedureWords());
  } catch (error) {
    // One sentence, and the file as it was: a server without its data answers nothing.
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  }
  foldWhenStopped();
  keepDailyCopies();
  const { readFirstHome } = await import("./server/snapshots/first-home");
  await readFirstHome();
}
