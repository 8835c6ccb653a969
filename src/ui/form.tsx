"use client";

import { startTransition, useActionState, useEffect, useRef, type ReactNode } from "react";
import { Button } from "./button";

export type FormView = {
  attempt: number;
  values: Record<string, string[]>;
  errors: Record<string, string>;
};

/** What the fields of a form need: the text each starts with, and the problem it has. */
export type Fields = {
  value: (name: string) => string | undefined;
  values: (name: string) => string[];
  error: (name: string) => string | undefined;
};

/** A form that keeps what was typed, says what is wrong at its field, and goes to the first problem. */
export function Form({
  action,
  initial,
  submit,
  aside,
  stays = true,
  children,
}: {
  action: (state: FormView, form: FormData) => Promise<FormView>;
  initial: FormView;
  submit: string;
  aside?: ReactNode;
  /** Keeps the button in sight at the foot of a long form. */
  stays?: boolean;
  children: (fields: Fields) => ReactNode;
}) {
  const [state, send, pending] = useActionState(action, initial);
  const form = useRef<HTMLFormElement>(null);
  const problems = Object.keys(state.errors).length;

  // Focus is the browser's: it goes to the first field with a problem, once per sending.
  useEffect(() => {
    if (state.attempt > 0) form.current?.querySelector<HTMLElement>("[aria-invalid]")?.focus();
  }, [state.attempt]);

  const fields: Fields = {
    value: (name) => state.values[name]?.[0],
    values: (name) => state.values[name] ?? [],
    error: (name) => state.errors[name],
  };
  return (
    // The action serves a page whose script is still loading. With it running the form is sent by
    // hand: React would put the fields back to what they first were after an action of its own.
    <form
      ref={form}
      action={send}
      onSubmit={(event) => {
        event.preventDefault();
        // A second press while the first is on its way would enter everything twice.
        if (pending) return;
        const typed = new FormData(event.currentTarget);
        startTransition(() => send(typed));
      }}
      noValidate
    >
      {children(fields)}
      <div
        data-stays={stays || undefined}
        className="bottom-14 z-20 flex flex-wrap items-center gap-4 border-ink bg-ground py-4 data-stays:sticky data-stays:border-t-2 wide:bottom-0"
      >
        <Button type="submit" weight="strong" pending={pending}>
          {submit}
        </Button>
        {aside}
        <p role="status" className="font-medium text-attention-text">
          {problems > 0 &&
            (problems === 1
              ? "One field needs another look."
              : `${problems} fields need another look.`)}
          {state.errors["form"] && ` ${state.errors["form"]}`}
        </p>
      </div>
    </form>
  );
}
