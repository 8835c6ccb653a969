"use client";

import { Button } from "./button";
import { pageTroubleWords } from "./trouble-words";

/** What stands in place of a page that could not be shown, or whose press came to nothing. */
export function TroubleView({ error, reset }: { error: Error; reset: () => void }) {
  const trouble = pageTroubleWords(error);
  return (
    <div role="alert" className="mx-auto max-w-2xl px-4 py-16">
      <h1 className="text-3xl">{trouble?.title ?? "Something went wrong on this page"}</h1>
      <p className="mt-3 mb-6 text-lg">
        {trouble?.words ??
          "What you had saved is safe. Try the page again; if it stays like this, stop Amber Lintel and start it once more."}
      </p>
      <Button weight="strong" onClick={reset}>
        Try again
      </Button>
    </div>
  );
}
