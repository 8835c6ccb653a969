"use client";

import { Command } from "cmdk";
import { useRef, useState } from "react";
import type { Found } from "./find-queries";

const ASK_AFTER_MS = 120;

/** The field one types in and what is found; loaded when somebody first looks for something. */
export function FindCommand({ homeId, onGo }: { homeId: string; onGo: (href: string) => void }) {
  const { query, setQuery, results, state } = useFound(homeId);
  const groups = [...new Set(results.map((each) => each.group))];
  return (
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
                  onSelect={() => onGo(each.href)}
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
