/** The server of the built application: Next behind the pages that many ask for at once. */
import { createServer, type ServerResponse } from "node:http";
import next from "next";
import { isFileHeld, versionNow } from "../src/lib/data-version";
import { keepOrdinary } from "../src/lib/connections";
import { readEnv } from "../src/lib/env";
import { sweepCopies } from "../src/lib/copy-folders";
import { isKnownHost, readableUrl, UNKNOWN_HOST } from "../src/lib/hosts";
import { RenderedPages } from "../src/lib/rendered-pages";

const { HOSTNAME: hostname = "127.0.0.1", PORT = "4180" } = process.env;
const port = Number(PORT);
const METHODS = "GET, HEAD, POST, OPTIONS";
const app = next({ dev: false, hostname, port });
// Nobody else makes copies to be sent: what lies there was left by a server that was killed.
sweepCopies(readEnv(process.env).AMBER_DB);
await app.prepare();
const handle = app.getRequestHandler();
const pages = new RenderedPages({
  handle: (request, response) => handle(request, response),
  version: versionNow,
  isHeld: isFileHeld,
  clock: () => performance.now(),
});
const refuse = (response: ServerResponse, status: number, code: string, message: string) => {
  response.writeHead(status, { "content-type": "application/json" });
  response.end(JSON.stringify({ error: { code, message, path: [] } }));
};

const server = createServer((request, response) => {
  // Looked at before anything else is: the framework puts a name of its own where there is none.
  if (!isKnownHost(request.headers.host ?? null, process.env)) {
    const { status, code, message } = UNKNOWN_HOST;
    return refuse(response, status, code, message);
  }
  // A question about the server as a whole, which has no page; and one that asks for its own words back.
  if (request.method === "OPTIONS" && request.url === "*") {
    response.writeHead(204, { allow: METHODS });
    response.end();
    return;
  }
  if (request.method === "TRACE" || request.method === "CONNECT") {
    response.setHeader("allow", METHODS);
    return refuse(response, 405, "method", "That is not asked for here.");
  }
  request.url = readableUrl(request.url ?? "/");
  pages.answer(request, response).catch((error: unknown) => {
    console.error(error);
    if (!response.headersSent) response.writeHead(500);
    response.end();
  });
});
keepOrdinary(server);
server.listen(port, hostname);
