"use client";

import type { Removed } from "@/server/snapshots/beside";
import { Button } from "@/ui/button";
import { bringBack } from "./removed-actions";

const KIND_WORDS = {
  unit: "unit",
  slot: "part",
  home: "home",
  room: "room",
  register: "register",
  contact: "contact",
  driver: "people and surroundings",
  photo: "picture",
  entry: "entry",
} as const;

export function RemovedList({ homeId, list }: { homeId: string; list: Removed[] }) {
  if (list.length === 0) return <p className="text-second">Nothing has been removed.</p>;
  return (
    <ul>
      {list.map((removed) => (
        <li key={removed.id} className="flex items-center gap-4 border-t border-rule py-2">
          <span className="grow">
            <strong>{removed.name}</strong>
            <span className="text-second">, {KIND_WORDS[removed.kind]}</span>
          </span>
          <Button onClick={() => void bringBack({ kind: removed.kind, homeId, id: removed.id })}>
            Bring back
          </Button>
        </li>
      ))}
    </ul>
  );
}
