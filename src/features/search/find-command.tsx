"use client";

import { Command } from "cmdk";
import { useEffect, useEffectEvent, useRef, useState } from "react";
import type { Found } from "./find-queries";
import { FIND_FIELD, FIND_PLACEHOLDER } from "./find-field";

const ASK_AFTER_MS = 120;

export type FindCommandProps = {
  homeId: string;
  /** What was typed before this was loaded, or the last time. */
  start: string;
  onType: (text: string) => void;
  onGo: (href: string) => void;
};

/** The field one types in and what is found; loaded when somebody first looks for something. */
export function FindCommand({ homeId, start, onType, onGo }: FindCommandProps) {
  const { query, setQuery, results, state, whenFound } = useFound(homeId, start);
  const groups = [...new Set(results.map((each) => each.group))];
  return (
    <Command
      shouldFilter={false}
      label="Find"
      className="flex min-h-0 flex-col"
      onKeyDown={(event) => {
        // Enter while the answer to the last letters is still on its way goes to what they find.
        const isWaiting = event.key === "Enter" && whenFound(({ href }) => onGo(href));
        if (isWaiting) event.preventDefault();
      }}
    >
      <Command.Input
        autoFocus
        value={query}
        onValueChange={(text) => {
          onType(text);
          setQuery(text);
        }}
        placeholder={FIND_PLACEHOLDER}
        className={FIND_FIELD}
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
                  className="flex min-h-12 cursor-pointer flex-wrap content-center items-baseline gap-x-3 px-3 py-2 data-[selected=true]:bg-ink data-[selected=true]:text-ground"
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
function useFound(homeId: string, start: string) {
  const [query, setText] = useState(start);
  const [results, setResults] = useState<Found[]>([]);
  const [state, setState] = useState<State>(start.trim() === "" ? "idle" : "asking");
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const requests = useRef(0);
  const answered = useRef(0);
  const onFound = useRef<((first: Found) => void) | null>(null);
  const askSoon = (text: string) => {
    clearTimeout(timer.current);
    onFound.current = null;
    const nth = ++requests.current;
    if (text.trim() === "") return;
    timer.current = setTimeout(() => {
      void ask(homeId, text).then((answer) => {
        if (nth !== requests.current) return;
        answered.current = nth;
        const [first] = answer ?? [];
        if (first) onFound.current?.(first);
        onFound.current = null;
        setResults(answer ?? []);
        setState(answer === null ? "failed" : answer.length > 0 ? "found" : "nothing");
      });
    }, ASK_AFTER_MS);
  };
  const setQuery = (text: string) => {
    setText(text);
    askSoon(text);
    if (text.trim() === "") {
      setResults([]);
      setState("idle");
    } else if (results.length === 0) setState("asking");
  };
  const begin = useEffectEvent(() => askSoon(start));
  // What was typed before this stood is asked as if it were typed now.
  useEffect(() => {
    begin();
    return () => clearTimeout(timer.current);
  }, []);
  /** Keeps what is to be done with the first thing found; false where the answer is there already. */
  const whenFound = (go: (first: Found) => void): boolean => {
    if (requests.current === answered.current || query.trim() === "") return false;
    onFound.current = go;
    return true;
  };
  return { query, setQuery, results, state, whenFound };
}

async function ask(homeId: string, text: string): Promise<Found[] | null> {
  try {
    const answer = await fetch(`/api/v1/homes/${homeId}/find?q=${encodeURIComponent(text)}`);
    return answer.ok ? ((await answer.json()) as { found: Found[] }).found : null;
  } catch {
    return null;
  }
}
