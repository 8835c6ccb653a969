import { GRADES, type Grade } from "@/core/filters/belief";
import { GRADE_WORDS } from "@/content/words";

/** The grades as one chooses among them, white to caved in. */
export const GRADE_OPTIONS: readonly { value: Grade; name: string; meaning: string }[] = GRADES.map(
  (value) => ({ value, ...GRADE_WORDS[value] }),
);
