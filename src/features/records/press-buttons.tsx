"use client";

import { useTransition } from "react";
import { Button } from "@/ui/button";
import { noteGone } from "./noticed/noticed-actions";
import { noteLight, noteVacuumed } from "./record-actions";

type Pressed = {
  homeId: string;
  slotId: string;
  /** Of the entry, so that two presses make one. */
  commandId: string;
};

function PressToNote({ words, note }: { words: string; note: () => Promise<void> }) {
  const [pending, startTransition] = useTransition();
  return (
    <Button weight="quiet" pending={pending} onClick={() => startTransition(note)}>
      {words}
    </Button>
  );
}

/** That a filter was vacuumed where it sits, at one press. */
export const VacuumedButton = ({ homeId, slotId, commandId }: Pressed) => (
  <PressToNote
    words="Vacuumed it on the spot"
    note={() => noteVacuumed(homeId, slotId, commandId)}
  />
);

/** That the light of a filter came on, at one press. */
export const LightButton = ({
  homeId,
  slotId,
  commandId,
  words = "Its light came on",
}: Pressed & { words?: string }) => (
  <PressToNote words={words} note={() => noteLight(homeId, slotId, commandId)} />
);

/** That what was noticed has gone again, or was seen to. */
export const GoneButton = ({
  homeId,
  eventId,
  commandId,
}: Omit<Pressed, "slotId"> & { eventId: string }) => (
  <PressToNote
    words="It has gone, or was seen to"
    note={() => noteGone(homeId, eventId, commandId)}
  />
);
