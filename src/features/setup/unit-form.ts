import { z } from "zod";
import { UNIT_KINDS } from "@/content/unit-kinds";
import { FAN_MODES } from "@/core/climate/run-hours";
import { SHUT_OFF_KINDS, type ShutOffKind } from "@/core/register/register";

const kinds = UNIT_KINDS.map((kind) => kind.id) as [string, ...string[]];

export type ShutOffFields = { kind: ShutOffKind; place: string; offPosition?: string };

export const unitForm = z
  .object({
    kind: z.enum(kinds, "Choose what kind of unit it is."),
    name: z.string().min(1, "Give it the name you call it by.").max(60, "A shorter name, please."),
    levelId: z.string().min(1, "Choose where it stands."),
    makeModel: z.string().max(120, "Shorter, please: up to 120 letters."),
    access: z.string().max(300, "Shorter, please: up to 300 letters."),
    heats: z.string().optional(),
    cools: z.string().optional(),
    fanMode: z.enum(FAN_MODES, "Choose how its fan runs."),
    fanHours: z.string(),
  })
  .superRefine((fields, context) => {
    const hours = Number(fields.fanHours.replace(",", "."));
    if (fields.fanMode === "minimum" && !(fields.fanHours !== "" && hours >= 0 && hours <= 24))
      context.addIssue({ code: "custom", path: ["fanHours"], message: "Hours a day, 0 to 24." });
  });

const rowSchema = z.object({
  kind: z.enum(SHUT_OFF_KINDS),
  place: z.string().max(200),
  offPosition: z.string().max(120),
});

/** The rows of shut-offs that say where; a row without a place was never filled in. */
export function readShutOffs(fields: Record<string, string[]>): ShutOffFields[] {
  const kindsOf = fields["shutOffKind"] ?? [];
  return kindsOf.flatMap((kind, i) => {
    const row = rowSchema.parse({
      kind,
      place: (fields["shutOffPlace"]?.[i] ?? "").trim(),
      offPosition: (fields["shutOffPosition"]?.[i] ?? "").trim(),
    });
    if (row.place === "") return [];
    const { offPosition, ...rest } = row;
    return [offPosition === "" ? rest : { ...rest, offPosition }];
  });
}
