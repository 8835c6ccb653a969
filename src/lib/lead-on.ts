import { revalidatePath } from "next/cache";
import { redirect, RedirectType } from "next/navigation";

/** Leads on to a page that says what the entry just written changed. */
export function leadOnNoted(path: string, eventId: string): never {
  const [page, place] = path.split("#");
  leadOn(`${page}?noted=${eventId}${place ? `#${place}` : ""}`);
}

/**
 * Leads on after something was written down. Pages the browser kept are from before it: they are
 * asked for anew, also when somebody goes back to them.
 */
export function leadOn(path: string, how: "push" | "replace" = RedirectType.push): never {
  revalidatePath("/", "layout");
  redirect(path, how);
}
