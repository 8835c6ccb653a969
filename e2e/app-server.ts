import { spawn, type ChildProcess } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import path from "node:path";
import { LIVES_MS } from "@/lib/rendered-pages";
import { copyDemo } from "../tests/demo-store";
import serverEnv from "../scripts/server-env.json";
import { NOW } from "../tests/demo-template";

/** The day of every test and picture. */
export const CLOCK = NOW;

/** A name of the network, as a phone would ask by. */
export const KNOWN_NAME = "lintel.lan";

export type AppServer = {
  url: string;
  file: string;
  /** The number of its process. */
  pid: () => number;
  /** Stops the server as a power cut would. */
  kill: () => Promise<void>;
  /** Stops it in good order, as a word to the service would. */
  end: () => Promise<void>;
  /** Starts it again, at another time if one is given. */
  start: (clock?: string) => Promise<void>;
  /** Goes on at another time, as it does in a night that nobody spends at it. */
  moveClock: (clock: string) => Promise<void>;
  stop: () => Promise<void>;
};

function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once("error", reject);
    probe.listen(0, "127.0.0.1", () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === "object" && address ? address.port : 0));
    });
  });
}

export type AppSetting = {
  /** Puts the database on a disk of so many megabytes, where the machine lets one be made. */
  diskMb?: number;
};

/** Makes a disk in memory that only this server sees, with the database on it. */
const onDisk = (folder: string, mb: number) => [
  "unshare",
  "-rm",
  "sh",
  "-c",
  `mkdir "$0/small" && mount -t tmpfs -o size=${mb}m none "$0/small" && cp "$0"/demo.db* "$0/small" && exec "$@"`,
  folder,
];

/**
 * The built application on a free port, with a database of its own: empty, with the demo in it, or one that is
 * there already.
 */
export async function startApp(
  contents: "empty" | "demo" | { file: string },
  { diskMb }: AppSetting = {},
): Promise<AppServer> {
  const folder = mkdtempSync(path.join(tmpdir(), "amber-app-"));
  const made = contents === "demo" ? copyDemo(folder) : path.join(folder, "test.db");
  const file =
    typeof contents === "object"
      ? contents.file
      : diskMb
        ? path.join(folder, "small", path.basename(made))
        : made;
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  let child: ChildProcess | null = null;
  const start = async (clock = CLOCK) => {
    const [command = "", ...args] = [
      ...(diskMb ? onDisk(folder, diskMb) : []),
      process.execPath,
      ...["--import", path.resolve("e2e/moved-clock.mjs")],
      ".next/serve.mjs",
    ];
    child = spawn(command, args, {
      env: {
        ...process.env,
        NODE_ENV: "production",
        HOSTNAME: "127.0.0.1",
        PORT: String(port),
        AMBER_DB: file,
        AMBER_CLOCK: clock,
        AMBER_HOSTS: KNOWN_NAME,
        NEXT_TELEMETRY_DISABLED: "1",
        ...serverEnv,
      },
      stdio: ["ignore", "ignore", "ignore", "ipc"],
      detached: true,
    });
    for (;;) {
      if (child.exitCode !== null) throw new Error("The application stopped while starting.");
      const answer = await fetch(`${url}/welcome`).catch(() => null);
      if (answer?.ok) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  };
  const end = (signal: NodeJS.Signals) =>
    new Promise<void>((resolve) => {
      if (!child?.pid || child.exitCode !== null) return resolve();
      child.once("exit", () => resolve());
      process.kill(-child.pid, signal);
    });
  await start();
  return {
    url,
    file,
    pid: () => child?.pid ?? 0,
    start,
    moveClock: async (clock) => {
      await new Promise((resolve) => {
        child!.once("message", resolve);
        child!.send(clock);
      });
      // So long a page may be given that was rendered before.
      await new Promise((resolve) => setTimeout(resolve, LIVES_MS));
    },
    kill: () => end("SIGKILL"),
    end: () => end("SIGTERM"),
    stop: async () => {
      await end("SIGKILL");
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
