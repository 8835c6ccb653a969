"use client";

import { Button } from "@/ui/button";

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <main className="mx-auto max-w-2xl px-4 py-16">
      <h1 className="text-3xl">Something went wrong on this page</h1>
      <p className="mt-3 mb-6 text-lg">
        What you had saved is safe. Try the page again; if it stays like this, stop Amber Lintel and
        start it once more.
      </p>
      <Button weight="strong" onClick={reset}>
        Try again
      </Button>
    </main>
  );
}
