import { z } from "zod";

/** What the surroundings may set; everything has a default, and a bad value says what it should be. */
const envSchema = z.object({
  /** Where the database file lies. */
  AMBER_DB: z.string().min(1).default("data/amber-lintel.db"),
  AMBER_HOST: z.string().min(1).default("127.0.0.1"),
  AMBER_PORT: z.coerce
    .number({ error: "AMBER_PORT must be a port number" })
    .int("AMBER_PORT must be a whole number")
    .min(1, "AMBER_PORT must be 1 to 65535")
    .max(65_535, "AMBER_PORT must be 1 to 65535")
    .default(4180),
  /** Further names this server may be asked by, with commas between: what phones on the network use. */
  AMBER_HOSTS: z.string().optional(),
  /** Where other devices find this server, for labels and calendars: https://house.example. */
  AMBER_PUBLIC_URL: z.url({ error: "AMBER_PUBLIC_URL must be an address" }).optional(),
  /** Set by the start command, which has looked at the file and migrated it already. */
  AMBER_CHECKED: z.string().optional(),
  /** Holds the clock still, for tests and pictures: an instant such as 2026-03-14T09:00:00Z. */
  AMBER_CLOCK: z.iso.datetime({ offset: true, error: "AMBER_CLOCK must be an instant" }).optional(),
});

export type Env = z.output<typeof envSchema>;

export function readEnv(source: Record<string, string | undefined>): Env {
  const parsed = envSchema.safeParse(source);
  if (parsed.success) return parsed.data;
  const problems = parsed.error.issues.map(
    (issue) => `  ${issue.path.join(".")}: ${issue.message}`,
  );
  throw new Error(`The configuration has mistakes:\n${problems.join("\n")}`);
}
