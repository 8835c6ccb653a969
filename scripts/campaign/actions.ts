/** Every form and press of the application, called as a browser calls it, with anything typed. */
import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import path from "node:path";
import fc from "fast-check";
import { z } from "zod";
import { nothingSent } from "../../tests/acting";

/** What Next writes down of each when it builds. */
const MANIFEST = ".next/server/server-reference-manifest.json";
const manifestSchema = z.object({
  node: z.record(
    z.string(),
    z.object({
      workers: z.record(z.string(), z.unknown()),
      filename: z.string(),
      exportedName: z.string(),
    }),
  ),
});

export type Action = { id: string; name: string; path: string; parameters: string[] };

/** How calls are written for the wire: by the very library that reads them on the other side. */
const { encodeReply } = createRequire(path.resolve("package.json"))(
  "next/dist/compiled/react-server-dom-turbopack/client.edge",
) as { encodeReply: (value: unknown) => Promise<FormData | string> };

const OF_DEMO: Readonly<Record<string, string>> = {
  homeId: "sluice-house",
  unitId: "cellar-furnace",
  partId: "cellar-filter",
  slotId: "cellar-filter",
  taskId: "dryer-dryer-duct.brush",
  jobId: "dryer-dryer-duct.brush",
  visitId: "visit-next",
  runId: "demo-core-run",
};

/** A page that has an action, as it is asked for. */
const pathOf = (page: string): string =>
  page
    .replace(/^app|\/page$/g, "")
    .replace(/\/\([^)]*\)/g, "")
    .replace(/\[(\w+)\]/g, (_, name: string) => OF_DEMO[name] ?? "nowhere") || "/";

export function actionsBuilt(): Action[] {
  const { node } = manifestSchema.parse(JSON.parse(readFileSync(MANIFEST, "utf8")));
  return Object.entries(node).map(([id, { workers, filename, exportedName }]) => {
    const source = readFileSync(filename, "utf8");
    const [, list = ""] =
      new RegExp(`(?:function ${exportedName}|${exportedName} = async )\\s*\\(([^)]*)\\)`).exec(
        source,
      ) ?? [];
    return {
      id,
      name: exportedName,
      path: pathOf(Object.keys(workers)[0] ?? ""),
      parameters: list
        .split(",")
        .map((each) => each.trim())
        .filter(Boolean),
    };
  });
}

const typed = (parameter: string) => {
  const [name = "", type = ""] = parameter.split(":").map((each) => each.trim());
  return { name, type };
};

/** Whether all it takes is made of the right kind here; a call of another kind is none of our pages', and may fail. */
export const isOfRightKind = ({ parameters }: Action): boolean =>
  parameters.every((parameter) => {
    const { name, type } = typed(parameter);
    return name === "previous" || KINDS.includes(type);
  });
const KINDS = ["string", "string | null", "FormData", "boolean", "number"];

/**
 * Calls with arguments of the right kinds and any value.
 *
 * @param names of fields, of all forms there are
 * @param oddText any text
 */
export function callsOf(
  actions: readonly Action[],
  names: readonly string[],
  oddText: fc.Arbitrary<string>,
): fc.Arbitrary<{ action: Action; values: unknown[] }> {
  const form = fc
    .array(
      fc.tuple(
        fc.oneof(
          { weight: 30, arbitrary: fc.constantFrom(...names) },
          fc.constantFrom(
            "__proto__",
            "constructor",
            "toString",
            "command-id",
            "opened-with",
            "$1",
          ),
        ),
        oddText,
      ),
      { maxLength: 14 },
    )
    .map((fields) => {
      const data = new FormData();
      for (const [name, value] of fields) data.append(name, value);
      return data;
    });
  const valueOf = (parameter: string): fc.Arbitrary<unknown> => {
    const { name, type } = typed(parameter);
    const plain = name.replace("?", "");
    if (plain === "previous") return fc.constant(nothingSent);
    if (type === "FormData") return form;
    if (type === "boolean") return fc.boolean();
    if (type === "number") return fc.constantFrom(0, -1, 1e9, 0.5);
    if (type === "string" || type === "string | null")
      return fc.oneof(
        { weight: 3, arbitrary: fc.constant(OF_DEMO[plain] ?? plain) },
        { weight: 1, arbitrary: oddText },
      );
    return fc.oneof(fc.constant({}), fc.constant(null), fc.constant([]), oddText);
  };
  return fc
    .constantFrom(...actions)
    .chain((action) =>
      fc.tuple(...action.parameters.map(valueOf)).map((values) => ({ action, values })),
    );
}

/** The bytes of a call, and what they are. */
export async function written(values: unknown[]): Promise<{ body: Buffer; type: string }> {
  const reply = await encodeReply(values);
  if (typeof reply === "string")
    return { body: Buffer.from(reply), type: "text/plain;charset=UTF-8" };
  const whole = new Response(reply);
  return {
    body: Buffer.from(await whole.arrayBuffer()),
    type: whole.headers.get("content-type") ?? "",
  };
}
