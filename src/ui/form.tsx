"use client";

import { unstable_rethrow, usePathname } from "next/navigation";
import {
  startTransition,
  useActionState,
  useEffect,
  useRef,
  useState,
  type FormEvent,
  type ReactNode,
} from "react";
import { Button } from "./button";

const KEEP_AFTER_MS = 400;

export type FormValues = Record<string, string[]>;
export type FormView = {
  attempt: number;
  values: FormValues;
  errors: Record<string, string>;
  /** What stands there now, where somebody changed it since this form was opened. */
  theirs?: FormValues;
  /** The name of what the form asks for: sent twice it is done once. */
  commandId?: string;
};

/** What the fields of a form need: the text each starts with, and the problem it has. */
export type Fields = {
  value: (name: string) => string | undefined;
  values: (name: string) => string[];
  error: (name: string) => string | undefined;
};

type Action = (state: FormView, form: FormData) => Promise<FormView>;

/** The field in which a form says what it was opened with. */
export const OPENED_WITH = "opened-with";
const COMMAND_ID = "command-id";
const OWN_FIELDS = [OPENED_WITH, COMMAND_ID];

const valuesOf = (form: FormData): FormValues => {
  const values: FormValues = {};
  for (const [name, value] of form.entries())
    if (typeof value === "string" && !name.startsWith("$") && !OWN_FIELDS.includes(name))
      (values[name] ??= []).push(value);
  return values;
};

const NOT_SAVED =
  "Not saved: Amber Lintel could not be reached or could not write. All you typed is still here: send it again.";

/** A save that fails for whatever reason keeps every field, and says so. */
const kept =
  (action: Action): Action =>
  async (state, form) => {
    try {
      return await action(state, form);
    } catch (error) {
      // Leading on to another page is thrown too.
      unstable_rethrow(error);
      return { attempt: state.attempt + 1, values: valuesOf(form), errors: { form: NOT_SAVED } };
    }
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
    if (form) void keep?.(form).catch(() => undefined);
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

type Stored = { opened: string; values: FormValues };

/**
 * What was typed and not saved, in the browser's store of this tab: going Back finds it again. Where
 * what the form is about has changed since, it is let go.
 */
function useTyped(submit: string, opened: string) {
  const key = `typed ${usePathname()} ${submit}`;
  const [found, setFound] = useState<FormValues | null>(null);
  // The store is the browser's, and known only in it.
  useEffect(() => {
    try {
      const stored = JSON.parse(sessionStorage.getItem(key) ?? "null") as Stored | null;
      if (stored?.opened === opened) queueMicrotask(() => setFound(stored.values));
      else sessionStorage.removeItem(key);
    } catch {
      // A store that is full or shut off keeps nothing: the form works without.
    }
  }, [key, opened]);
  const put = (form: FormData) => {
    try {
      sessionStorage.setItem(key, JSON.stringify({ opened, values: valuesOf(form) }));
    } catch {
      // As above.
    }
  };
  const drop = () => {
    try {
      sessionStorage.removeItem(key);
    } catch {
      // As above.
    }
  };
  return { found, put, drop, forget: () => (drop(), setFound(null)) };
}

/**
 * A form that keeps what was typed, says what is wrong at its field, and goes to the first problem.
 * Nothing typed is lost: not to a save that fails, not to the Back button, not to somebody else who
 * saved the same meanwhile.
 */
export function Form({
  action,
  initial,
  submit,
  aside,
  stays = true,
  keep,
  children,
}: {
  action: Action;
  initial: FormView;
  submit: string;
  aside?: ReactNode;
  /** Keeps the button in sight at the foot of a long form. */
  stays?: boolean;
  /** Takes what is typed a moment after it was typed, so that leaving loses nothing. */
  keep?: ((form: FormData) => Promise<void>) | undefined;
  children: (fields: Fields) => ReactNode;
}) {
  const [state, send, pending] = useActionState(kept(action), initial);
  const form = useRef<HTMLFormElement>(null);
  const [opened, setOpened] = useState(() => JSON.stringify(initial.values));
  const [taken, setTaken] = useState<FormValues | null>(null);
  // Problems of fields that were touched since they were named.
  const [touched, setTouched] = useState<{ attempt: number; names: string[] }>({
    attempt: 0,
    names: [],
  });
  const typed = useTyped(submit, opened);

  // Focus is the browser's: it goes to the first field with a problem, once per sending.
  useEffect(() => {
    if (state.attempt === 0) return;
    const wrong = form.current?.querySelector<HTMLElement>("[aria-invalid]");
    const isGroup = wrong?.getAttribute("role") === "radiogroup";
    (isGroup ? wrong?.querySelector("input") : wrong)?.focus();
  }, [state.attempt]);

  const draft = useDraft(keep);
  const isOver = (name: string) =>
    touched.attempt === state.attempt && touched.names.includes(name);
  const errors = Object.keys(state.errors).filter((name) => name !== "form" && !isOver(name));
  const values = taken ?? (state.attempt > 0 ? state.values : (typed.found ?? state.values));
  const fields: Fields = {
    value: (name) => values[name]?.[0],
    values: (name) => values[name] ?? [],
    error: (name) => (isOver(name) ? undefined : state.errors[name]),
  };
  const sendTyped = (data: FormData) => {
    draft.drop();
    // A second press while the first is on its way would enter everything twice.
    if (pending) return;
    typed.drop();
    startTransition(() => send(data));
  };
  const onInput = (event: FormEvent<HTMLFormElement>) => {
    const data = new FormData(event.currentTarget);
    typed.put(data);
    if (keep) draft.soon(data);
    const { name } = event.target as HTMLInputElement;
    if (state.errors[name] && !isOver(name))
      setTouched(({ attempt, names }) => ({
        attempt: state.attempt,
        names: [...(attempt === state.attempt ? names : []), name],
      }));
  };
  return (
    // The action serves a page whose script is still loading. With it running the form is sent by
    // hand: React would put the fields back to what they first were after an action of its own.
    <form
      ref={form}
      action={send}
      onInput={onInput}
      onBlur={draft.now}
      onSubmit={(event) => {
        event.preventDefault();
        sendTyped(new FormData(event.currentTarget));
      }}
      noValidate
    >
      <input type="hidden" name={OPENED_WITH} value={opened} readOnly />
      {initial.commandId && (
        <input type="hidden" name={COMMAND_ID} value={initial.commandId} readOnly />
      )}
      {typed.found && state.attempt === 0 && !taken && (
        <p role="status" className="mb-4 border-l-4 border-ink bg-surface px-4 py-2">
          What you had typed here is back.{" "}
          <button
            type="button"
            className="min-h-8 text-link underline underline-offset-4"
            onClick={() => {
              typed.forget();
              setTaken(initial.values);
            }}
          >
            Begin afresh
          </button>
        </p>
      )}
      {state.theirs && (
        <BothSaved
          form={form}
          theirs={state.theirs}
          mine={state.values}
          onMine={() => {
            setOpened(JSON.stringify(state.theirs));
            const data = new FormData(form.current!);
            data.set(OPENED_WITH, JSON.stringify(state.theirs));
            sendTyped(data);
          }}
          onTheirs={() => {
            setOpened(JSON.stringify(state.theirs));
            setTaken(state.theirs ?? null);
            typed.drop();
          }}
        />
      )}
      <div
        key={taken ? "taken" : typed.found && state.attempt === 0 ? "found" : "fresh"}
        className="contents"
      >
        {children(fields)}
      </div>
      <div
        data-stays={stays || undefined}
        className="bottom-14 z-20 flex flex-wrap items-center gap-4 border-ink bg-ground py-4 data-stays:sticky data-stays:border-t-2 max-wide:data-stays:bottom-[3.3rem] max-wide:data-stays:py-2 wide:bottom-0"
      >
        <Button type="submit" weight="strong" pending={pending}>
          {submit}
        </Button>
        {aside}
        <p role="status" className="font-medium text-attention-text">
          {errors.length > 0 &&
            (errors.length === 1
              ? "One field needs another look."
              : `${errors.length} fields need another look.`)}
          {state.errors["form"] && ` ${state.errors["form"]}`}
        </p>
      </div>
    </form>
  );
}

/** What a field is called on the page. */
function labelOf(form: HTMLFormElement | null, name: string): string {
  const field = form?.elements.namedItem(name);
  const element = field instanceof RadioNodeList ? field[0] : field;
  if (!(element instanceof HTMLElement)) return name;
  const legend = element.closest("fieldset")?.querySelector("legend");
  const label = element.id ? form?.querySelector(`label[for="${CSS.escape(element.id)}"]`) : null;
  return (label ?? legend)?.textContent?.trim() || name;
}

/** Somebody saved the same meanwhile: both are shown, and one chooses. */
function BothSaved({
  form,
  theirs,
  mine,
  onMine,
  onTheirs,
}: {
  form: React.RefObject<HTMLFormElement | null>;
  theirs: FormValues;
  mine: FormValues;
  onMine: () => void;
  onTheirs: () => void;
}) {
  const [rows, setRows] = useState<{ label: string; theirs: string; mine: string }[]>([]);
  // What a field is called stands on the page, which React does not ask.
  useEffect(() => {
    const shown = (values: string[] | undefined) =>
      (values ?? []).filter(Boolean).join(", ") || "–";
    const differing = Object.keys(theirs).filter(
      (name) => shown(theirs[name]) !== shown(mine[name]),
    );
    queueMicrotask(() =>
      setRows(
        differing.map((name) => ({
          label: labelOf(form.current, name),
          theirs: shown(theirs[name]),
          mine: shown(mine[name]),
        })),
      ),
    );
  }, [form, theirs, mine]);
  return (
    <section role="alert" className="mb-5 border-4 border-attention bg-wash px-4 py-3">
      <h2 className="text-lg">Changed elsewhere since you opened this</h2>
      <p>Nothing is saved yet. Which one holds?</p>
      <dl className="mt-2 grid gap-x-6 gap-y-1 wide:grid-cols-[12rem_1fr_1fr]">
        {rows.map(({ label, theirs: there, mine: here }) => (
          <div key={label} className="contents">
            <dt className="font-semibold">{label}</dt>
            <dd>there: {there}</dd>
            <dd>here: {here}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-3 flex flex-wrap gap-3">
        <Button onClick={onMine}>Save mine over it</Button>
        <Button onClick={onTheirs}>Take theirs</Button>
      </div>
    </section>
  );
}
