"use client";

import { useEffect, useRef, useState, type ReactNode } from "react";

const PREVIEW_AFTER_MS = 250;

/**
 * Asks the server what a form would do, a moment after each change of it and once at the start, and
 * hands the answer to what is drawn inside. The form is the first one within.
 */
export function WithPreview<T>({
  preview,
  children,
}: {
  preview: (form: FormData) => Promise<T | null>;
  children: (answer: T | null) => ReactNode;
}) {
  const [answer, setAnswer] = useState<T | null>(null);
  const place = useRef<HTMLDivElement>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const requests = useRef(0);
  const ask = () => {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      const form = place.current?.querySelector("form");
      if (!form) return;
      const nth = ++requests.current;
      void preview(new FormData(form)).then((given) => {
        // A slow answer to an older question is not shown.
        if (nth === requests.current) setAnswer(given);
      });
    }, PREVIEW_AFTER_MS);
  };

  // What the form begins with has an answer too; the server alone can tell it.
  useEffect(() => {
    ask();
    return () => clearTimeout(timer.current);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, for what the form begins with
  }, []);

  return (
    <div ref={place} onInput={ask} onChange={ask}>
      {children(answer)}
    </div>
  );
}
