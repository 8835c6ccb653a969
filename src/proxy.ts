import { NextResponse, type NextRequest } from "next/server";

/**
 * A page of another site must not be able to write here through the reader's browser: requests
 * that change something are taken from our own pages and from programs, which send no origin.
 */
export function proxy(request: NextRequest): NextResponse {
  const origin = request.headers.get("origin");
  const host = request.headers.get("host");
  const isOwn = origin === null || (URL.canParse(origin) && new URL(origin).host === host);
  if (isOwn || request.method === "GET" || request.method === "HEAD") return NextResponse.next();
  return NextResponse.json(
    {
      error: {
        code: "foreign-origin",
        message: "Only Amber Lintel’s own pages may write.",
        path: [],
      },
    },
    { status: 403 },
  );
}

// Reading sends no origin: only requests with one pay for the check.
export const config = {
  matcher: [{ source: "/((?!_next/static).*)", has: [{ type: "header", key: "origin" }] }],
};
