"use client";

import { useEffect, useRef, useState, type ReactNode } from "react";
import type { ZodType } from "zod";
import { OPENED_WITH } from "./form-fields";

const PREVIEW_AFTER_MS = 250;

/**
 * Asks the server what a form would do, a moment after each change of it and once at the start, and
 * hands the answer to what is drawn inside. The form is the first one within. A question that is
 * overtaken by the next is called off.
 */
export function WithPreview<T>({
  url,
  schema,
  children,
}: {
  url: string;
  /** What an answer looks like; loaded with the first one. */
  schema: () => Promise<ZodType<T>>;
  children: (answer: T | null) => ReactNode;
}) {
  const [answer, setAnswer] = useState<T | null>(null);
  const place = useRef<HTMLDivElement>(null);
  const asking = useRef<AbortController>(undefined);
  const ask = () => {
    asking.current?.abort();
    const { signal } = (asking.current = new AbortController());
    const timer = setTimeout(() => {
      const form = place.current?.querySelector("form");
      if (form)
        answerOf(url, form, schema, signal).then(
          (given) => signal.aborted || setAnswer(given),
          // The question was overtaken or the server is out of reach: the last answer stays on screen.
          () => undefined,
        );
    }, PREVIEW_AFTER_MS);
    signal.addEventListener("abort", () => clearTimeout(timer));
  };

  // What the form begins with has an answer too; the server alone can tell it.
  useEffect(() => {
    ask();
    return () => asking.current?.abort();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, for what the form begins with
  }, []);

  return (
    <div ref={place} onInput={ask} onChange={ask}>
      {children(answer)}
    </div>
  );
}

async function answerOf<T>(
  url: string,
  form: HTMLFormElement,
  schema: () => Promise<ZodType<T>>,
  signal: AbortSignal,
): Promise<T | null> {
  const asked = new URL(url, location.href);
  for (const [name, value] of new FormData(form))
    if (typeof value === "string" && name !== OPENED_WITH) asked.searchParams.append(name, value);
  const [reply, loaded] = await Promise.all([fetch(asked, { signal }), schema()]);
  const read = reply.ok ? loaded.safeParse(await reply.json()) : null;
  return read?.success ? read.data : null;
}
