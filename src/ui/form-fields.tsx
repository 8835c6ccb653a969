import {
  createContext,
  useContext,
  type ChangeEvent,
  type FocusEvent,
  type ReactNode,
  type RefCallback,
} from "react";

/** Everything a form holds, by field name; a field that stands several times has all its values. */
export type FormValues = Record<string, string[]>;

/** The field in which a form says what it was opened with. */
export const OPENED_WITH = "opened-with";

type Control = HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement;

/** What the form library wants to hear of a control. */
type Registration = {
  ref: RefCallback<Control>;
  onChange: (event: { type?: string; target: unknown }) => Promise<unknown>;
  onBlur: (event: { type?: string; target: unknown }) => Promise<unknown>;
};

/** What the fields of a form need of it: what each starts with, the problem it has, and its wiring. */
export type Fields = {
  value: (name: string) => string | undefined;
  values: (name: string) => string[];
  error: (name: string) => string | undefined;
  /** Writes a text into a field, as if it had been typed. */
  set: (name: string, text: string) => void;
  /** Lets go of what was typed into fields that are drawn anew for something else. */
  forget: (names: readonly string[]) => void;
  register: (name: string) => Registration;
};

export const FieldsContext = createContext<Fields | null>(null);

/** The form around a component, null where a control stands for itself. */
export const useFormAround = (): Fields | null => useContext(FieldsContext);

/** The form around a component. @throws where there is none: a mistake of ours. */
export function useFields(): Fields {
  const fields = useFormAround();
  if (!fields) throw new Error("useFields: no form around");
  return fields;
}

/**
 * Fields that stand several times under one name and are told apart by their order, which the form
 * library cannot do: the form gathers them, and who draws them says what they start with.
 */
export function ByOrder({ children }: { children: ReactNode }) {
  return <FieldsContext value={null}>{children}</FieldsContext>;
}

type Own<E extends Control> = {
  ref?: ((element: E | null) => void) | undefined;
  onChange?: ((event: ChangeEvent<E>) => void) | undefined;
  onBlur?: ((event: FocusEvent<E>) => void) | undefined;
};

/**
 * A control wired to the form around it; without one it stands for itself. What it is given of its
 * own is done as well.
 */
export function useControl<E extends Control>(name: string, own: Own<E>): Own<E> {
  const fields = useFormAround();
  if (!fields) return own;
  const { ref, onChange, onBlur } = fields.register(name);
  return {
    ref: (element: E | null) => {
      void ref(element);
      own.ref?.(element);
    },
    onChange: (event: ChangeEvent<E>) => {
      void onChange(event);
      own.onChange?.(event);
    },
    onBlur: (event: FocusEvent<E>) => {
      void onBlur(event);
      own.onBlur?.(event);
    },
  };
}

/**
 * One of several controls of one name: ticks, or answers to choose from. The form library would put
 * them to what it takes for their value as each is drawn, and undo what was chosen before the script
 * ran; so it hears of changes only, and what is chosen stands in the page.
 */
export function useOption(name: string, own: Own<HTMLInputElement>): Own<HTMLInputElement> {
  const fields = useFormAround();
  if (!fields) return own;
  const { onChange } = fields.register(name);
  return {
    ...own,
    onChange: (event) => {
      const { value, checked, type } = event.target;
      void onChange({
        type: "change",
        target: { name, value: type === "radio" ? value : checked },
      });
      own.onChange?.(event);
    },
  };
}
