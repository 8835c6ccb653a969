/** What a JSON route takes at most, bytes. */
export const MOST_JSON_BYTES = 1_048_576;
/** How deep lists and objects may lie in each other: more than anything the app has. */
export const MOST_DEPTH = 32;

export type BodyProblem = "too-large" | "not-json-type" | "not-utf8" | "too-deep" | "not-json";
export type JsonBody =
  | { ok: true; value: unknown; text: string }
  /** With the text, where it could be read so far. */
  | { ok: false; why: BodyProblem; text?: string };

/** Each problem with its status and words. */
export const BODY_PROBLEMS: Readonly<Record<BodyProblem, { status: number; message: string }>> = {
  "too-large": { status: 413, message: "more than 1 MB of JSON" },
  "not-json-type": { status: 415, message: "only application/json is taken here" },
  "not-utf8": { status: 400, message: "the input is not UTF-8" },
  "too-deep": { status: 400, message: `nested deeper than ${MOST_DEPTH}` },
  "not-json": { status: 400, message: "the input is not JSON" },
};

/**
 * The bytes of a body, counted while they come; null once they are more than `most`. What a request says of
 * its own length is not believed.
 */
export async function readBytes(
  { body }: { body: ReadableStream<Uint8Array> | null },
  most: number,
): Promise<Uint8Array<ArrayBuffer> | null> {
  const parts: Uint8Array[] = [];
  let size = 0;
  if (body) {
    const reader = body.getReader();
    for (;;) {
      const { done, value } = await reader.read();
      if (done) break;
      size += value.byteLength;
      if (size > most) {
        await reader.cancel();
        return null;
      }
      parts.push(value);
    }
  }
  const all = new Uint8Array(size);
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.byteLength;
  }
  return all;
}

/**
 * How deep a JSON text nests, as far as `most` and one: told from its brackets alone, before anything is
 * built of it. Linear in its length; brackets inside strings don’t count.
 */
export function depthOf(text: string, most: number): number {
  let depth = 0;
  let deepest = 0;
  let isInString = false;
  for (let i = 0; i < text.length; i++) {
    const letter = text.charCodeAt(i);
    if (isInString) {
      if (letter === BACKSLASH) i++;
      else if (letter === QUOTE) isInString = false;
    } else if (letter === QUOTE) isInString = true;
    else if (letter === OPEN_LIST || letter === OPEN_OBJECT) {
      deepest = Math.max(deepest, ++depth);
      if (deepest > most) return deepest;
    } else if (letter === CLOSE_LIST || letter === CLOSE_OBJECT) depth--;
  }
  return deepest;
}
const [QUOTE, BACKSLASH] = [34, 92];
const [OPEN_LIST, CLOSE_LIST, OPEN_OBJECT, CLOSE_OBJECT] = [91, 93, 123, 125];

/** The JSON of a request, within the bounds above. */
export async function readJsonBody(request: Request): Promise<JsonBody> {
  const type = request.headers.get("content-type") ?? "";
  if (!/^application\/json\s*(;|$)/i.test(type.trim())) return { ok: false, why: "not-json-type" };
  const bytes = await readBytes(request, MOST_JSON_BYTES);
  if (!bytes) return { ok: false, why: "too-large" };
  let text: string;
  try {
    text = new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    return { ok: false, why: "not-utf8" };
  }
  if (depthOf(text, MOST_DEPTH) > MOST_DEPTH) return { ok: false, why: "too-deep", text };
  try {
    return { ok: true, value: JSON.parse(text), text };
  } catch {
    return { ok: false, why: "not-json", text };
  }
}

/** The answer to a body that cannot be taken. */
export function refuseBody(why: BodyProblem): Response {
  const { status, message } = BODY_PROBLEMS[why];
  return Response.json({ error: { code: why, message, path: [] } }, { status });
}
