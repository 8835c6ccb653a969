"use client";

import { useState } from "react";
import { Button } from "@/ui/button";
import { TextArea } from "@/ui/field";
import { RunDialog } from "./run-dialogs";

const FEWEST_LETTERS = 3;

/** Asks for a few words; without them nothing is kept. */
export function SayDialog({
  title,
  label,
  missing,
  submit,
  onSay,
  onClose,
}: {
  title: string;
  label: string;
  /** What is said when there are no words. */
  missing: string;
  submit: string;
  onSay: (words: string) => void;
  onClose: () => void;
}) {
  const [error, setError] = useState<string>();
  return (
    <RunDialog title={title} onClose={onClose}>
      <form
        className="mt-3 flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          const words = String(new FormData(event.currentTarget).get("words") ?? "").trim();
          if (words.length < FEWEST_LETTERS) setError(missing);
          else onSay(words);
        }}
      >
        <TextArea label={label} name="words" rows={3} maxLength={300} error={error} />
        <div className="flex gap-3">
          <Button type="submit" weight="strong" className="min-h-14">
            {submit}
          </Button>
          <Button className="min-h-14" onClick={onClose}>
            Cancel
          </Button>
        </div>
      </form>
    </RunDialog>
  );
}
