/** Runs once when the server starts: brings the database to the present schema and library. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const { foldWhenStopped, prepareAppStore } = await import("./db/app-store");
  const { procedureWords } = await import("./content/procedures/library");
  await prepareAppStore(procedureWords());
  foldWhenStopped();
}
