import { inEnglish, type English } from "@/content/english";
import { SEEN_WORDS } from "@/content/reading-words";
import { GRADE_WORDS } from "@/content/words";
import type { Step } from "@/core/runs/procedure";
import type { CompletedStep, RunState } from "@/core/runs/run-state";
import { useEnglish } from "@/ui/english";
import { PictureFigure } from "@/ui/picture";

/** What somebody saw or noted at a step, in a few words; null where nothing was. */
function notedWords({ step: { records }, seen }: CompletedStep, english: English): string | null {
  switch (records?.kind) {
    case "count":
      return seen.count === undefined ? null : `${records.label}: ${seen.count}`;
    case "words":
      return seen.words ? `${records.label}: ${seen.words}` : null;
    case "setting": {
      const chosen = records.options?.find(({ value }) => value === seen.choice)?.name;
      const value = chosen ?? seen.words;
      return value ? `${records.label}: ${value}` : null;
    }
    case "choice":
      return records.options.find(({ value }) => value === seen.choice)?.name ?? null;
    case "look":
      return seen.grade ? inEnglish(english, GRADE_WORDS[seen.grade].name) : null;
    case "reading": {
      const { value, typed } = seen.reading ?? {};
      if (value === undefined) return null;
      return typeof value === "string"
        ? (SEEN_WORDS[value] ?? value)
        : (typed?.value ?? `${value}`);
    }
    default:
      return null;
  }
}

/** What was noted and photographed at earlier steps, where it is needed again. */
export function Recall({
  step,
  completed,
  photos,
}: {
  step: Step;
  completed: RunState["completed"];
  photos: RunState["photos"];
}) {
  const english = useEnglish();
  const earlier = completed.filter((each) => step.recalls?.includes(each.step.id));
  const words = earlier.flatMap((each) => notedWords(each, english) ?? []);
  const seen = photos.filter(({ step: at }) => step.recalls?.includes(at));
  if (words.length === 0 && seen.length === 0) return null;
  return (
    <section aria-label="Noted before" className="border-y-2 border-ink py-2.5">
      <h3 className="text-[1.125rem] text-second">As you noted it</h3>
      {words.map((line) => (
        <p key={line} className="figures font-semibold">
          {line}
        </p>
      ))}
      {seen.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-3">
          {seen.map(({ photo }) => (
            <PictureFigure key={photo} id={photo} words="As it was before" />
          ))}
        </div>
      )}
    </section>
  );
}
