"use client";

import type { Removed } from "@/server/snapshots/beside";
import { useMemo } from "react";
import { Button } from "@/ui/button";
import { Listing, type Column } from "@/ui/listing";
import { sayProblem } from "@/ui/toasts";
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
  setting: "setting",
  procedure: "procedure",
  visit: "visit",
  finding: "finding",
  person: "somebody who goes round",
} as const;

export function RemovedList({ homeId, list }: { homeId: string; list: Removed[] }) {
  const columns = useMemo(() => columnsOf(homeId), [homeId]);
  if (list.length === 0) return <p className="text-second">Nothing has been removed.</p>;
  return (
    <Listing
      label="Removed things"
      name="removed"
      rows={list}
      columns={columns}
      words={({ name, kind }) => `${name} ${KIND_WORDS[kind]}`}
      cardClass="grid-cols-[minmax(0,1fr)_auto] gap-x-4"
    />
  );
}

const columnsOf = (homeId: string): Column<Removed>[] => [
  {
    id: "name",
    heading: "What",
    sortsBy: ({ name }) => name,
    cell: ({ name }) => <strong>{name}</strong>,
  },
  {
    id: "kind",
    heading: "A kind of",
    className: "text-second max-wide:col-start-1",
    sortsBy: ({ kind }) => KIND_WORDS[kind],
    cell: ({ kind }) => KIND_WORDS[kind],
  },
  {
    id: "deeds",
    heading: "To do",
    isHeadingSaid: false,
    className:
      "wide:w-36 wide:text-right max-wide:col-start-2 max-wide:row-span-2 max-wide:row-start-1",
    cell: ({ kind, id }) => (
      <Button
        onClick={() =>
          void bringBack({ kind, homeId, id }).then((problem) => problem && sayProblem(problem))
        }
      >
        Bring back
      </Button>
    ),
  },
];
