import fc from "fast-check";
import { depthOf, MOST_DEPTH, MOST_JSON_BYTES, readBytes, readJsonBody } from "./body";

const ask = (body: BodyInit, type = "application/json") =>
  new Request("http://amber.test/", { method: "POST", body, headers: { "content-type": type } });
const read = async (body: BodyInit, type?: string) => {
  const answer = await readJsonBody(ask(body, type));
  return answer.ok ? answer.value : answer.why;
};
/** A body that comes in pieces, and says nothing of its length. */
const pieces = (count: number, size: number, taken: { pieces: number }) =>
  new ReadableStream<Uint8Array>({
    pull(controller) {
      if (taken.pieces === count) return controller.close();
      taken.pieces++;
      controller.enqueue(new Uint8Array(size).fill(32));
    },
  });

describe("a body", () => {
  it("is read as JSON, and only as JSON", async () => {
    expect(await read('{"a":[1]}')).toEqual({ a: [1] });
    expect(await read("{}", "application/json; charset=utf-8")).toEqual({});
    for (const type of ["text/plain", "application/x-www-form-urlencoded", "application/jsonp", ""])
      expect([type, await read("{}", type)]).toEqual([type, "not-json-type"]);
    expect(await read("{a")).toBe("not-json");
  });

  it("is counted while it comes: what is too much is not read to its end", async () => {
    const taken = { pieces: 0 };
    expect(await readBytes({ body: pieces(1000, 65_536, taken) }, MOST_JSON_BYTES)).toBeNull();
    expect(taken.pieces).toBeLessThan(20);
    expect(await readBytes({ body: null }, 10)).toEqual(new Uint8Array());
    expect(await read(" ".repeat(MOST_JSON_BYTES))).toBe("not-json");
    expect(await read(" ".repeat(MOST_JSON_BYTES + 1))).toBe("too-large");
  });

  it("is UTF-8, or refused in words", async () => {
    expect(await read(new Uint8Array([34, 0xff, 34]))).toBe("not-utf8");
  });

  it("nests no deeper than it may: a million brackets are no trouble", async () => {
    const nested = (depth: number) => "[".repeat(depth) + "]".repeat(depth);
    expect(await read(nested(MOST_DEPTH))).toEqual(JSON.parse(nested(MOST_DEPTH)));
    expect(await read(nested(MOST_DEPTH + 1))).toBe("too-deep");
    expect(await read("[".repeat(500_000))).toBe("too-deep");
  });

  it("is as deep as what comes of it, whatever its strings hold", () => {
    const depth = (value: unknown): number =>
      value !== null && typeof value === "object"
        ? 1 + Math.max(0, ...Object.values(value).map(depth))
        : 0;
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 6 }), (value) => {
        expect(depthOf(JSON.stringify(value), MOST_DEPTH)).toBe(depth(value));
      }),
    );
    expect(depthOf('"[[[\\"[["', MOST_DEPTH)).toBe(0);
  });
});
