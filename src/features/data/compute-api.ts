import { z } from "zod";
import { createDocument } from "zod-openapi";
import { computeAside, MOST_MS } from "@/server/heavy";
import { readJsonBody, refuseBody } from "@/lib/body";
import type { ComputeTold } from "@/core/compute/compute";
import { COMPUTE_FUNCTIONS } from "@/core/compute/registry";

const json = (text: string, status: number) =>
  new Response(text, { status, headers: { "content-type": "application/json" } });

const refused = (status: number, code: string, message: string) =>
  json(JSON.stringify({ error: { code, message, path: [] } }), status);

const lineOf = ({ ok, code, line }: ComputeTold) =>
  json(line, ok ? 200 : code === "unknown-function" ? 404 : 400);

/** POST /api/v1/compute/NAME: the same door as the command line, over HTTP. */
export async function postCompute(name: string, request: Request): Promise<Response> {
  const body = await readJsonBody(request);
  // Whatever text there is the registry refuses itself, in the same words as on the command line.
  if (!body.ok && body.text === undefined) return refuseBody(body.why);
  const told = await computeAside(name, body.text ?? "");
  switch (told.kind) {
    case "told":
      return lineOf(told.told);
    case "busy":
      return refused(503, "busy", "many computations are waiting already: ask again in a moment");
    case "given-up":
      return refused(
        503,
        "too-long",
        `it took longer than ${MOST_MS / 1000} s, or too much room, and was given up`,
      );
  }
}

const errorSchema = z
  .object({
    error: z.object({
      code: z.string(),
      message: z.string(),
      path: z.array(z.union([z.string(), z.int()])),
    }),
  })
  .meta({ id: "Error" });

const content = (schema: z.ZodType) => ({ "application/json": { schema } });

/** The OpenAPI document of the registry: every function with its input and output. */
export function openApiDocument(): unknown {
  const paths = COMPUTE_FUNCTIONS.map(({ name, summary, input, output }) => [
    `/api/v1/compute/${name}`,
    {
      post: {
        operationId: name,
        summary,
        requestBody: { required: true, content: content(input) },
        responses: {
          200: { description: "The result.", content: content(output) },
          400: {
            description: "The input is refused; the path leads to the value.",
            content: content(errorSchema),
          },
        },
      },
    },
  ]);
  return createDocument(
    {
      openapi: "3.1.0",
      info: { title: "Amber Lintel", version: "1", description: "What the core computes." },
      paths: Object.fromEntries(paths),
    },
    // A value that was read from text has no form of its own in JSON: it is described as any.
    { allowEmptySchema: { pipe: true, transform: true, custom: true } },
  );
}
