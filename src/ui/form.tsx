"use client";

import { unstable_rethrow, usePathname } from "next/navigation";
import {
  startTransition,
  useActionState,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
  type FormEvent,
  type ReactNode,
} from "react";
import {
  FormProvider,
  useForm,
  useFormContext,
  useWatch,
  type FieldErrors,
  type Resolver,
} from "react-hook-form";
import type { ZodType } from "zod";
import { Button } from "./button";
import { FieldsContext, OPENED_WITH, useFields, type Fields, type FormValues } from "./form-fields";
import { notSavedWords } from "./trouble-words";

const KEEP_AFTER_MS = 400;

export type { FormValues } from "./form-fields";
export type FormView = {
  attempt: number;
  values: FormValues;
  errors: Record<string, string>;
  /** What stands there now, where somebody changed it since this form was opened. */
  theirs?: FormValues;
  /** The name of what the form asks for: sent twice it is done once. */
  commandId?: string;
};

export type FormAction = (state: FormView, form: FormData) => Promise<FormView>;

/** What a form may hold; loaded when the form is first sent. */
export type FormSchema = () => Promise<ZodType<unknown, FormValues>>;

type Held = Record<string, unknown>;

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

/** A form as it was answered; with the name it was drawn with, where the server gave it another. */
type Answered = FormView & { drawnAs?: string | undefined };

/**
 * A save that fails for whatever reason keeps every field, and says so. A name the server gave what is asked for
 * holds until the form is drawn anew.
 *
 * @param drawnAs the name the form was drawn with
 */
const kept =
  (action: FormAction, drawnAs: string | undefined) =>
  async (state: Answered, form: FormData): Promise<Answered> => {
    const named = state.drawnAs === undefined ? {} : { commandId: state.commandId! };
    try {
      const answer = await action(state, form);
      const attempt = Math.max(answer.attempt, state.attempt + 1);
      return answer.commandId === undefined
        ? { ...answer, ...named, attempt, drawnAs: state.drawnAs }
        : { ...answer, attempt, drawnAs };
    } catch (error) {
      // Leading on to another page is thrown too.
      unstable_rethrow(error);
      const words = notSavedWords(error) ?? NOT_SAVED;
      const attempt = state.attempt + 1;
      const values = valuesOf(form);
      return { ...named, attempt, values, errors: { form: words }, drawnAs: state.drawnAs };
    }
  };

const loaded = async (schema: FormSchema) => {
  const [{ zodResolver }, read] = await Promise.all([import("@hookform/resolvers/zod"), schema()]);
  return zodResolver<FormValues, unknown, unknown>(read);
};

/** Checks what would be sent by the schema its command reads it by; what can't be checked is sent. */
const checking =
  (schema: FormSchema | undefined, form: HTMLFormElement | null): Resolver<Held> =>
  async (held, context, options) => {
    if (!schema || !form) return { values: held, errors: {} };
    try {
      const check = await loaded(schema);
      const { errors } = await check(valuesOf(new FormData(form)), context, {
        ...options,
        fields: {},
        names: [],
      });
      return Object.keys(errors).length > 0 ? { values: {}, errors } : { values: held, errors: {} };
    } catch {
      // The schema could not be loaded, so the server is out of reach. Sending the form says so.
      return { values: held, errors: {} };
    }
  };

/** Whether somebody who looks at the page can see a field; one hidden with its group is none to go to. */
const isInSight = (field: HTMLElement): boolean => field.closest("[hidden]") === null;

const asFieldErrors = (errors: Record<string, string>): FieldErrors<Held> =>
  Object.fromEntries(
    Object.entries(errors).map(([name, message]) => [name, { type: "server", message }]),
  );

/** Hands over what is typed shortly after, at once when a field is left, and last when the page is. */
function useDraft(keep: ((form: FormData) => Promise<void>) | undefined, onKept: () => void) {
  const typed = useRef<FormData>(undefined);
  const sent = useRef<FormData>(undefined);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const drop = () => {
    clearTimeout(timer.current);
    typed.current = undefined;
  };
  const now = () => {
    const form = typed.current;
    drop();
    if (!form || !keep) return;
    sent.current = form;
    keep(form).then(
      // One of an earlier moment says nothing of what was typed and sent since.
      () => typed.current === undefined && sent.current === form && onKept(),
      // What could not be kept there stays in the browser's own store.
      () => undefined,
    );
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
 * what the form is about has changed since, it is let go; but not what is one's own draft, of which
 * the server may know an earlier part only.
 */
function useTyped(
  submit: string,
  opened: string,
  isDraft: boolean,
  /** Empties what the form library holds, which it would put into the fields drawn anew. */
  empty: (values: object) => void,
) {
  const key = `typed ${usePathname()} ${submit}`;
  const [found, setFound] = useState<FormValues | null>(null);
  // The store is the browser's, and known only in it.
  useEffect(() => {
    try {
      const stored = JSON.parse(sessionStorage.getItem(key) ?? "null") as Stored | null;
      if (stored && (isDraft || stored.opened === opened))
        queueMicrotask(() => {
          empty({});
          setFound(stored.values);
        });
      else sessionStorage.removeItem(key);
    } catch {
      // A store that is full or shut off keeps nothing: the form works without.
    }
  }, [key, opened, isDraft, empty]);
  const put = useCallback(
    (form: FormData) => {
      try {
        sessionStorage.setItem(key, JSON.stringify({ opened, values: valuesOf(form) }));
      } catch {
        // As above.
      }
    },
    [key, opened],
  );
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
 * saved the same meanwhile. Its fields find it by themselves.
 */
export function Form({
  action,
  initial,
  schema,
  submit,
  aside,
  stays = true,
  keep,
  children,
}: {
  action: FormAction;
  initial: FormView;
  /** What its command reads it by: what that refuses is said without asking the server. */
  schema?: FormSchema;
  submit: string;
  aside?: ReactNode;
  /** Keeps the button in sight at the foot of a long form. */
  stays?: boolean;
  /** Takes what is typed a moment after it was typed, so that leaving loses nothing. */
  keep?: ((form: FormData) => Promise<void>) | undefined;
  children: ReactNode;
}) {
  const [state, send, pending] = useActionState<Answered, FormData>(
    kept(action, initial.commandId),
    initial,
  );
  const isRenamed = state.drawnAs !== undefined && state.drawnAs === initial.commandId;
  const commandId = isRenamed ? state.commandId : initial.commandId;
  const [form, setForm] = useState<HTMLFormElement | null>(null);
  const [opened, setOpened] = useState(() => JSON.stringify(initial.values));
  const [taken, setTaken] = useState<FormValues | null>(null);
  const held = useForm<Held>({
    resolver: useMemo(() => checking(schema, form), [schema, form]),
    errors: useMemo(() => asFieldErrors(state.errors), [state.errors]),
    shouldFocusError: false,
  });
  const typed = useTyped(submit, opened, keep !== undefined, held.reset);
  const draft = useDraft(keep, typed.drop);
  const { errors } = held.formState;

  // Focus is the browser's: it goes to the first field with a problem, once per sending.
  const foot = useRef<HTMLParagraphElement>(null);
  const goesToProblem = useRef(initial.attempt > 0);
  useEffect(() => {
    if (!goesToProblem.current || Object.keys(errors).length === 0) return;
    goesToProblem.current = false;
    const marked = [...(form?.querySelectorAll<HTMLElement>("[aria-invalid]") ?? [])];
    for (const each of marked) each.closest("details")?.setAttribute("open", "");
    const wrong = marked.find(isInSight);
    const first = wrong?.matches("fieldset") ? wrong.querySelector("input") : wrong;
    (first ?? foot.current)?.focus();
  }, [errors, form]);
  // A problem of a field that is not on the page, or out of sight, is said at the foot: no form refuses silently.
  const [unplaced, setUnplaced] = useState<readonly string[]>([]);
  useEffect(() => {
    const lost = Object.entries(errors).flatMap(([name, error]) => {
      if (name === "form" || name === "root" || !form) return [];
      const isShown = [...form.querySelectorAll<HTMLElement>(`[name="${CSS.escape(name)}"]`)].some(
        (field) => isInSight(field) && field.closest("[aria-invalid]") !== null,
      );
      return isShown ? [] : [String(error?.message ?? "")];
    });
    queueMicrotask(() => setUnplaced(lost));
  }, [errors, form]);
  // A refused form goes back into the browser's store: nothing else holds what was typed in it.
  const putTyped = typed.put;
  useEffect(() => {
    if (state.attempt > 0 && form) putTyped(new FormData(form));
  }, [state.attempt, putTyped, form]);

  const values = taken ?? (state.attempt > 0 ? state.values : (typed.found ?? state.values));
  const fields: Fields = {
    value: (name) => values[name]?.[0],
    values: (name) => values[name] ?? [],
    error: (name) => errors[name]?.message as string | undefined,
    set: (name, text) => {
      held.setValue(name, text, { shouldValidate: errors[name] !== undefined });
      if (form) typed.put(new FormData(form));
    },
    forget: (names) => held.unregister([...names]),
    register: (name) => held.register(name),
  };
  const wrong = Object.keys(errors).filter((name) => name !== "form" && name !== "root");
  const sendTyped = (data: FormData) => {
    draft.drop();
    // A second press while the first is on its way would enter everything twice.
    if (pending) return;
    typed.drop();
    startTransition(() => send(data));
  };
  const begin = (from: FormValues | null) => {
    held.reset({});
    setTaken(from);
  };
  const onInput = (event: FormEvent<HTMLFormElement>) => {
    const data = new FormData(event.currentTarget);
    typed.put(data);
    if (keep) draft.soon(data);
  };
  return (
    // The action serves a page whose script is still loading. With it running the form is sent by
    // hand: React would put the fields back to what they first were after an action of its own.
    <form
      ref={setForm}
      action={send}
      // Fetched when a field gets the focus, the schema is there by the time the form is sent.
      onFocus={() => void (schema && loaded(schema).catch(() => undefined))}
      onInput={onInput}
      onBlur={draft.now}
      onSubmit={(event) => {
        goesToProblem.current = true;
        void held.handleSubmit(() => sendTyped(new FormData(form!)))(event);
      }}
      noValidate
    >
      <input type="hidden" name={OPENED_WITH} value={opened} readOnly />
      {commandId && <input type="hidden" name={COMMAND_ID} value={commandId} readOnly />}
      {typed.found && state.attempt === 0 && !taken && (
        <p role="status" className="mb-4 border-l-4 border-ink bg-surface px-4 py-2">
          What you had typed here is back.{" "}
          <button
            type="button"
            className="min-h-8 text-link underline underline-offset-4"
            onClick={() => {
              typed.forget();
              begin(initial.values);
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
            const data = new FormData(form!);
            data.set(OPENED_WITH, JSON.stringify(state.theirs));
            sendTyped(data);
          }}
          onTheirs={() => {
            setOpened(JSON.stringify(state.theirs));
            begin(state.theirs ?? null);
            typed.drop();
          }}
        />
      )}
      <div
        key={taken ? "taken" : typed.found && state.attempt === 0 ? "found" : "fresh"}
        className="contents"
      >
        <FormProvider {...held}>
          <FieldsContext value={fields}>{children}</FieldsContext>
        </FormProvider>
      </div>
      <div
        data-stays={stays || undefined}
        className="bottom-14 z-20 flex flex-wrap items-center gap-4 border-ink bg-ground py-4 data-stays:sticky data-stays:border-t-2 max-wide:data-stays:bottom-[3.3rem] max-wide:data-stays:py-2 wide:bottom-0 low:data-stays:static"
      >
        <Button type="submit" weight="strong" pending={pending}>
          {submit}
        </Button>
        {aside}
        <p
          ref={foot}
          tabIndex={-1}
          role="status"
          className="font-medium text-attention-text outline-none"
        >
          {wrong.length > 0 &&
            (wrong.length === 1
              ? "One field needs another look."
              : `${wrong.length} fields need another look.`)}
          {unplaced.map((words) => ` ${words}`)}
          {errors["form"] && ` ${String(errors["form"].message)}`}
        </p>
      </div>
    </form>
  );
}

/** What stands in a field of the form around, following what is typed. */
export function useTypedText(name: string, usual = ""): string {
  const { control } = useFormContext<Held>();
  const first = useFields().value(name) ?? usual;
  const text: unknown = useWatch({ control, name, defaultValue: first });
  return typeof text === "string" ? text : first;
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
  form: HTMLFormElement | null;
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
          label: labelOf(form, name),
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
