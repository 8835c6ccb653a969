import type { Server } from "node:http";
import type { Socket } from "node:net";

/** So many connections a household, its phones and its programs need at once, and more than that. Our choice. */
export const MOST_CONNECTIONS = 400;
/** Of them so many may stand idle; the one that stood longest makes room for a new one. Our choice. */
export const MOST_IDLE = 200;
/** Whoever sends no whole request for so long is let go, ms. Our choice. */
const HEADERS_WITHIN_MS = 20_000;

/**
 * So long a connection may rest between two requests, ms. The usual five seconds end just when somebody who reads
 * a page asks for the next one, and more so on a busy server: what was asked then is cut off without an answer.
 */
const RESTS_MS = 75_000;

const NO_UPGRADE =
  "HTTP/1.1 426 Upgrade Required\r\nconnection: close\r\ncontent-length: 0\r\n\r\n";

type Limits = { most: number; idle: number };

/**
 * Keeps a server to ordinary requests: nothing is upgraded, whoever asks for it is answered and let go at once;
 * and connections that do nothing never keep others out, as the oldest idle ones are dropped.
 */
export function keepOrdinary(
  server: Server,
  { most, idle }: Limits = { most: MOST_CONNECTIONS, idle: MOST_IDLE },
): void {
  /** Those that wait for a request, the longest first. */
  const waiting = new Set<Socket>();
  const dropOldest = () => {
    const [oldest] = waiting;
    if (!oldest) return;
    waiting.delete(oldest);
    oldest.destroy();
  };
  const rests = (socket: Socket) => {
    if (socket.destroyed) return;
    waiting.delete(socket);
    waiting.add(socket);
    while (waiting.size > idle) dropOldest();
  };
  server.headersTimeout = HEADERS_WITHIN_MS;
  server.keepAliveTimeout = RESTS_MS;
  server.on("upgrade", (_, socket) => {
    socket.on("error", () => undefined);
    socket.end(NO_UPGRADE);
    // Who does not hang up by itself is hung up on.
    setImmediate(() => socket.destroy());
  });
  let count = 0;
  server.on("connection", (socket) => {
    count++;
    socket.once("close", () => {
      count--;
      waiting.delete(socket);
    });
    if (count > most) dropOldest();
    rests(socket);
  });
  server.on("request", ({ socket }, response) => {
    waiting.delete(socket);
    response.once("close", () => rests(socket));
  });
}
