/** Runs once when the server starts: brings the database to the present schema. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const { prepareAppStore } = await import("./db/app-store");
  await prepareAppStore();
}
