"use client";

import { startTransition, useActionState, useEffect, useRef, type ReactNode } from "react";
import { Button } from "./button";

const KEEP_AFTER_MS = 400;

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

/** Hands over what is typed shortly after, at once when a field is left, and last when the page is. */
function useDraft(keep: ((form: FormData) => Promise<void>) | undefined) {
  const typed = useRef<FormData>(undefined);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const drop = () => {
    clearTimeout(timer.current);
    typed.current = undefined;
  };
  const now = () => {
    const form = typed.current;
    drop();
    if (form) void keep?.(form);
  };
  const soon = (form: FormData) => {
    drop();
    typed.current = form;
    timer.current = setTimeout(now, KEEP_AFTER_MS);
  };
  const last = useRef(now);
  // The newest closure is what a page that goes away has to call.
  useEffect(() => {
    last.current = now;
  });
  // A timer outlives the page it was set on: what it would have sent is sent when the page goes.
  useEffect(() => () => last.current(), []);
  return { soon, now, drop };
}

/** A form that keeps what was typed, says what is wrong at its field, and goes to the first problem. */
export function Form({
  action,
  initial,
  submit,
  aside,
  stays = true,
  keep,
  children,
}: {
  action: (state: FormView, form: FormData) => Promise<FormView>;
  initial: FormView;
  submit: string;
  aside?: ReactNode;
  /** Keeps the button in sight at the foot of a long form. */
  stays?: boolean;
  /** Takes what is typed a moment after it was typed, so that leaving loses nothing. */
  keep?: ((form: FormData) => Promise<void>) | undefined;
  children: (fields: Fields) => ReactNode;
}) {
  const [state, send, pending] = useActionState(action, initial);
  const form = useRef<HTMLFormElement>(null);
  const problems = Object.keys(state.errors).length;

  // Focus is the browser's: it goes to the first field with a problem, once per sending.
  useEffect(() => {
    if (state.attempt > 0) form.current?.querySelector<HTMLElement>("[aria-invalid]")?.focus();
  }, [state.attempt]);

  const draft = useDraft(keep);

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
      onInput={keep && ((event) => draft.soon(new FormData(event.currentTarget)))}
      onBlur={draft.now}
      onSubmit={(event) => {
        event.preventDefault();
        draft.drop();
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
