"use client";

import { Command } from "cmdk";
import { useRouter } from "next/navigation";
import { Dialog } from "radix-ui";
import { useEffect, useRef, useState } from "react";
import type { Found } from "./find-queries";
import { singleKeys } from "@/ui/single-keys";

const ASK_AFTER_MS = 120;

/** Find anything: `/` opens it, arrows walk, Enter goes there. */
export function FindBox({ homeId }: { homeId: string }) {
  const router = useRouter();
  const [isOpen, setOpen] = useState(false);
  const { query, setQuery, results, state } = useFound(homeId);

  // Keys belong to the window, which React does not own.
  useEffect(
    () =>
      singleKeys({
        "/": (event) => {
          const target = event.target as HTMLElement | null;
          if (target?.closest("input, textarea, select, [role=menu], [role=dialog]")) return;
          event.preventDefault();
          setOpen(true);
        },
      }),
    [],
  );

  const go = (href: string) => {
    setOpen(false);
    router.push(href);
  };
  const groups = [...new Set(results.map((each) => each.group))];
  return (
    <Dialog.Root open={isOpen} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <button
          type="button"
          aria-keyshortcuts="/"
          className="flex h-11 items-center gap-3 border-[1.5px] border-second bg-surface px-3 text-second wide:w-60"
        >
          <svg
            aria-hidden="true"
            viewBox="0 0 18 18"
            width="18"
            fill="none"
            className="stroke-ink wide:hidden"
          >
            <circle cx="7.5" cy="7.5" r="5.5" strokeWidth="2" />
            <line x1="11.6" y1="11.6" x2="17" y2="17" strokeWidth="2.4" />
          </svg>
          <span className="sr-only grow text-left wide:not-sr-only">Find unit, size, note</span>
          <kbd
            aria-hidden="true"
            className="hidden border border-rule px-1.5 font-sans text-sm wide:inline"
          >
            /
          </kbd>
        </button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-slate/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-4 left-1/2 z-50 flex max-h-[85dvh] w-[min(40rem,94vw)] -translate-x-1/2 flex-col border-t-8 border-ink bg-surface wide:top-24"
        >
          <Dialog.Title className="sr-only">Find</Dialog.Title>
          <Command shouldFilter={false} label="Find" className="flex min-h-0 flex-col">
            <Command.Input
              autoFocus
              value={query}
              onValueChange={setQuery}
              placeholder="A unit, a part, a size such as 20x20, a word of a note"
              className="min-h-14 w-full border-b-2 border-ink bg-transparent px-5 text-lg outline-none"
            />
            <Command.List className="overflow-y-auto px-2 py-2" label="Found">
              {state !== "found" && (
                <p role="status" className="px-3 py-2 text-second">
                  {state === "idle"
                    ? "Type a few letters, or a size in inches or millimetres."
                    : state === "asking"
                      ? "Looking…"
                      : state === "failed"
                        ? "That could not be looked up just now. Try again."
                        : `Nothing here fits “${query.trim()}”.`}
                </p>
              )}
              {groups.map((group) => (
                <Command.Group
                  key={group}
                  heading={group}
                  className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:text-second"
                >
                  {results
                    .filter((each) => each.group === group)
                    .map((each) => (
                      <Command.Item
                        key={each.id}
                        value={each.id}
                        onSelect={() => go(each.href)}
                        className="flex min-h-12 cursor-pointer flex-wrap items-baseline gap-x-3 px-3 py-2 data-[selected=true]:bg-ink data-[selected=true]:text-ground"
                      >
                        <span className="font-semibold">{each.title}</span>
                        <span className="opacity-85">{each.detail}</span>
                      </Command.Item>
                    ))}
                </Command.Group>
              ))}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

type State = "idle" | "asking" | "found" | "nothing" | "failed";

/** Asks the server a moment after typing; an older answer never covers a newer one. */
function useFound(homeId: string) {
  const [query, setText] = useState("");
  const [results, setResults] = useState<Found[]>([]);
  const [state, setState] = useState<State>("idle");
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const requests = useRef(0);
  const setQuery = (text: string) => {
    setText(text);
    clearTimeout(timer.current);
    const nth = ++requests.current;
    if (text.trim() === "") {
      setResults([]);
      setState("idle");
      return;
    }
    if (results.length === 0) setState("asking");
    timer.current = setTimeout(() => {
      void ask(homeId, text).then((answer) => {
        if (nth !== requests.current) return;
        setResults(answer ?? []);
        setState(answer === null ? "failed" : answer.length > 0 ? "found" : "nothing");
      });
    }, ASK_AFTER_MS);
  };
  return { query, setQuery, results, state };
}

async function ask(homeId: string, text: string): Promise<Found[] | null> {
  try {
    const answer = await fetch(`/api/v1/homes/${homeId}/find?q=${encodeURIComponent(text)}`);
    return answer.ok ? ((await answer.json()) as { found: Found[] }).found : null;
  } catch {
    return null;
  }
}
