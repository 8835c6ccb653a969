import { NextResponse, type NextRequest } from "next/server";
import { isKnownHost, UNKNOWN_HOST } from "./lib/hosts";

const refuse = (code: string, message: string): NextResponse =>
  NextResponse.json({ error: { code, message, path: [] } }, { status: 403 });

/**
 * Who may ask. Only names this server is known by are answered: a page of another site could else
 * give its own name this machine's address, and read and write here as if it were ours. And what
 * changes something is taken from our own pages and from programs, which send no origin.
 */
export function proxy(request: NextRequest): NextResponse {
  const host = request.headers.get("host");
  if (!isKnownHost(host, process.env)) return refuse(UNKNOWN_HOST.code, UNKNOWN_HOST.message);
  const origin = request.headers.get("origin");
  const isOwn = origin === null || (URL.canParse(origin) && new URL(origin).host === host);
  if (isOwn || request.method === "GET" || request.method === "HEAD") return NextResponse.next();
  return refuse("foreign-origin", "Only Amber Lintel’s own pages may write.");
}

export const config = { matcher: ["/((?!_next/static).*)"] };
