import { identitySchema, type Identity } from "@/core/inventory/identity";
import { DAY_WORDS, isDay, ofReader, readDay, type FormFields } from "@/lib/forms";
import { IDENTITY_FIELDS } from "@/presentation/identity-words";

/** The fields of an identity as somebody typed them; an empty one is not known. */
export const identityForm = ofReader<Identity>((typed) => {
  const problems: Record<string, string> = {};
  const values = Object.fromEntries(
    IDENTITY_FIELDS.flatMap(({ key, kind }): [string, unknown][] => {
      const text = (typed[key]?.[0] ?? "").trim();
      if (text === "") return [];
      if (kind === "yes-no") return [[key, text === "yes"]];
      if (kind === "text") return [[key, text]];
      const day = readDay(text);
      if (!isDay(day)) problems[key] = DAY_WORDS[day];
      return [[key, day]];
    }),
  );
  const read = identitySchema.safeParse(values);
  for (const { path } of read.error?.issues ?? [])
    problems[String(path[0])] ??= "Shorter, please: up to 80 letters.";
  return { values: read.data ?? {}, problems };
});

/** An identity as its form shows it. */
export const fieldsOfIdentity = (identity: Identity): FormFields =>
  Object.fromEntries(
    IDENTITY_FIELDS.map(({ key }) => {
      const value = identity[key];
      return [
        key,
        [value === undefined ? "" : value === true ? "yes" : value === false ? "no" : value],
      ];
    }),
  );
