import { LinkButton } from "@/ui/button";
import type { walkUnderWay } from "./walk-queries";

/** On Today while the first walk is under way: how far it is, and where it goes on. */
export function WalkBanner({
  walk: { seen, total, href, words },
}: {
  walk: NonNullable<Awaited<ReturnType<typeof walkUnderWay>>>;
}) {
  return (
    <section
      aria-label="The first walk"
      className="flex flex-wrap items-center justify-between gap-3 border-l-4 border-attention bg-wash px-4 py-2.5"
    >
      <p>
        <strong>The first walk:</strong>{" "}
        <span className="figures">
          {seen} of {total}
        </span>{" "}
        seen.
      </p>
      <LinkButton href={href}>
        {words ? `Go on: ${words}` : "Everything seen: what comes of it"}
      </LinkButton>
    </section>
  );
}
