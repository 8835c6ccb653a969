/** Who may ask: every method, by names that are not ours, and from pages that are not ours. */
import { startApp } from "../../e2e/app-server";
import { ask, HOME, RUN, together, type Chapter } from "./shared";

const METHODS = ["GET", "HEAD", "POST", "PUT", "PATCH", "DELETE", "OPTIONS"];
const PATHS = [
  "/",
  HOME,
  "/welcome",
  `/api/v1/runs/${RUN}/events`,
  "/api/v1/backup",
  "/api/v1/compute/climate",
  `/api/v1${HOME}/readings`,
  "/api/v1/openapi.json",
];
const FOREIGN_HOSTS = [
  "evil.example",
  "127.0.0.1.evil.example",
  "192.0.2.7",
  "localhost.evil",
  "[::2]",
  "a b",
];
const FOREIGN_ORIGINS = [
  "http://evil.example",
  "null",
  "https://127.0.0.1",
  "http://localhost:1",
  "file://",
];
const WRITES = ["POST", "PUT", "PATCH", "DELETE"];

export const asking: Chapter = async () => {
  const app = await startApp("demo");
  try {
    const names = METHODS.flatMap((method) =>
      PATHS.flatMap((path) => FOREIGN_HOSTS.map((host) => ({ method, path, headers: { host } }))),
    );
    const pages = WRITES.flatMap((method) =>
      PATHS.flatMap((path) =>
        FOREIGN_ORIGINS.map((origin) => ({
          method,
          path,
          headers: { origin, "content-type": "application/json" },
          body: "{}",
        })),
      ),
    );
    const plain = [
      "text/plain",
      "application/x-www-form-urlencoded",
      "multipart/form-data",
      "",
    ].map((type) => ({
      method: "POST",
      path: `/api/v1/runs/${RUN}/events`,
      headers: { "content-type": type },
      body: JSON.stringify({ events: [] }),
    }));
    const letIn = async (
      list: Parameters<typeof ask>[1][],
      isRefused: (status: number) => boolean,
    ) => {
      let count = 0;
      await together(list, 8, async (each) => {
        if (!isRefused((await ask(app.url, each)).status)) count++;
      });
      return count;
    };
    // A header no request may have is refused before it comes to us.
    const byName = await letIn(names, (status) => status === 403 || status === 400);
    const byPage = await letIn(pages, (status) => status === 403 || status === 400);
    const byType = await letIn(plain, (status) => status === 415);
    return [
      {
        promise: "Only by a name this server is known by",
        tried: `${names.length} requests by other names, of every method`,
        found: `${byName} let in`,
        isKept: byName === 0,
      },
      {
        promise: "No page of another site writes",
        tried: `${pages.length} writes from other origins`,
        found: `${byPage} let in`,
        isKept: byPage === 0,
      },
      {
        promise: "JSON routes take only JSON",
        tried: `${plain.length} bodies a form of another site could send`,
        found: `${byType} taken`,
        isKept: byType === 0,
      },
    ];
  } finally {
    await app.stop();
  }
};
