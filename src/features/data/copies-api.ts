import "server-only";
import { createWriteStream } from "node:fs";
import { Readable, Transform } from "node:stream";
import { pipeline } from "node:stream/promises";
import type { ReadableStream } from "node:stream/web";
import { CopyProblem, takeInCopy } from "@/server/commands/copies";

/** The largest file that is taken, bytes: a household of many years with all its pictures. Our choice. */
const MOST_BYTES = 4 * 1024 ** 3;

const refused = (status: number, code: string, message: string) =>
  Response.json({ error: { code, message, path: [] } }, { status });

/** POST /api/v1/copies: a file that somebody chose, laid among the copies to be put back from there. */
export async function postCopy(request: Request): Promise<Response> {
  const { body } = request;
  if (!body) return refused(400, "empty", "Choose a file first.");
  let size = 0;
  const counting = new Transform({
    transform(chunk: Buffer, _, done) {
      size += chunk.length;
      done(size > MOST_BYTES ? new CopyProblem("That file is too large to be one.") : null, chunk);
    },
  });
  try {
    const name = await takeInCopy((file) =>
      pipeline(
        Readable.fromWeb(body as unknown as ReadableStream),
        counting,
        createWriteStream(file),
      ),
    );
    return Response.json({ kind: "asked", name }, { status: 201 });
  } catch (error) {
    if (error instanceof CopyProblem) return refused(400, "no-copy", error.message);
    throw error;
  }
}
