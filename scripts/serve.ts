/** The server of the built application: Next behind the pages that many ask for at once. */
import { createServer } from "node:http";
import next from "next";
import { versionNow } from "../src/lib/data-version";
import { isKnownHost, readableUrl, UNKNOWN_HOST } from "../src/lib/hosts";
import { RenderedPages } from "../src/lib/rendered-pages";

const { HOSTNAME: hostname = "127.0.0.1", PORT = "4180" } = process.env;
const port = Number(PORT);
const app = next({ dev: false, hostname, port });
await app.prepare();
const handle = app.getRequestHandler();
const pages = new RenderedPages({
  handle: (request, response) => handle(request, response),
  version: versionNow,
  clock: () => performance.now(),
});
createServer((request, response) => {
  // Looked at before anything else is: the framework puts a name of its own where there is none.
  if (!isKnownHost(request.headers.host ?? null, process.env)) {
    const { status, code, message } = UNKNOWN_HOST;
    response.writeHead(status, { "content-type": "application/json" });
    response.end(JSON.stringify({ error: { code, message, path: [] } }));
    return;
  }
  request.url = readableUrl(request.url ?? "/");
  pages.answer(request, response).catch((error: unknown) => {
    console.error(error);
    if (!response.headersSent) response.writeHead(500);
    response.end();
  });
}).listen(port, hostname);
