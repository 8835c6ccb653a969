import { openDemoStore, type DemoStore } from "./demo-store";
import { NOW } from "./demo-template";
import type { FormState } from "../src/lib/forms";

/** What a server action throws to lead on to another page. */
class Led extends Error {
  constructor(readonly to: string) {
    super(`led to ${to}`);
  }
}

/** Stands in for next/navigation, which needs a running server. */
export const navigation = {
  RedirectType: { push: "push", replace: "replace" },
  redirect: (to: string) => {
    throw new Led(to);
  },
};

/** The demo's database as the application's own, and the clock held. */
export async function actOnDemo(): Promise<DemoStore> {
  const demo = await openDemoStore();
  process.env["AMBER_DB"] = demo.file;
  process.env["AMBER_CLOCK"] = NOW;
  return demo;
}

export const nothingSent: FormState = { attempt: 0, values: {}, errors: {} };

export function formOf(fields: Record<string, string | string[]>): FormData {
  const form = new FormData();
  for (const [name, value] of Object.entries(fields))
    for (const each of [value].flat()) form.append(name, each);
  return form;
}

/** Where an action leads, or what it answers instead. */
export async function led<T>(action: Promise<T>): Promise<T | string> {
  try {
    return await action;
  } catch (error) {
    if (error instanceof Led) return error.to;
    throw error;
  }
}

/** Where an action leads; fails when it answers instead. */
export async function landing(action: Promise<unknown>): Promise<string> {
  const answer = await led(action);
  if (typeof answer === "string") return answer;
  throw new Error(`answered ${JSON.stringify(answer)} instead of leading on`);
}
