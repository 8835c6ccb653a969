"use client";

import { useRouter } from "next/navigation";
import { useRef, useState, useTransition } from "react";
import { Button } from "@/ui/button";

const UNREACHED = "Amber Lintel could not be reached. Nothing was changed: choose it again.";

/** A copy saved elsewhere, chosen by its file: it comes into the list, to be put back from there. */
export function BringCopy() {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [said, setSaid] = useState<{ words: string; isWrong: boolean } | null>(null);
  const [pending, startTransition] = useTransition();
  const bring = (file: File) =>
    startTransition(async () => {
      setSaid(null);
      try {
        const answer = await fetch("/api/v1/copies", {
          method: "POST",
          headers: { "content-type": "application/octet-stream" },
          body: file,
        });
        const read = (await answer.json()) as { error?: { message: string } };
        setSaid(
          read.error
            ? { words: read.error.message, isWrong: true }
            : { words: `${file.name} is in the list now: put it back from there.`, isWrong: false },
        );
        router.refresh();
      } catch {
        setSaid({ words: UNREACHED, isWrong: true });
      }
    });
  return (
    <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-1">
      <input
        ref={input}
        type="file"
        accept=".db,application/vnd.sqlite3"
        aria-label="A saved copy, by its file"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) bring(file);
          event.target.value = "";
        }}
      />
      <Button pending={pending} onClick={() => input.current?.click()}>
        {pending ? "Reading it…" : "Choose a saved copy"}
      </Button>
      {said && (
        <p
          role={said.isWrong ? "alert" : "status"}
          className="data-wrong:font-medium data-wrong:text-attention-text"
          data-wrong={said.isWrong || undefined}
        >
          {said.words}
        </p>
      )}
    </div>
  );
}
