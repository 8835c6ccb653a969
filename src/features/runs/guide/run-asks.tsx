import { capitalised } from "@/core/quantities/words";
import type { RunState } from "@/core/runs/run-state";
import type { Doing } from "@/core/runs/run-event";
import type { RunWith } from "./run-with";
import { staysWords } from "../way/there-and-back";
import { NotPossibleDialog } from "./not-possible";
import { SayDialog } from "./say-dialog";

export type Asking = "stays-open" | "not-possible" | "note";

/** What a run asks in passing: why something stays open, what is in the way, a note. */
export default function RunAsks({
  asking,
  state,
  known,
  act,
  onClose,
}: {
  asking: Asking;
  state: RunState;
  known: RunWith;
  act: (doing: Doing) => void;
  onClose: () => void;
}) {
  const { current } = state;
  const open = state.ends.open.length;
  const say = (doing: Doing) => {
    onClose();
    act(doing);
  };
  if (asking === "note")
    return (
      <SayDialog
        title="A note"
        label="Kept with this job, and shown before the next time"
        missing="Say it in a few words."
        submit="Keep it"
        onClose={onClose}
        onSay={(words) => say({ kind: "note", step: current?.id ?? "finish", words })}
      />
    );
  if (!current) return null;
  if (asking === "stays-open")
    return (
      <SayDialog
        title={`${capitalised(staysWords(state))}: why?`}
        label="In your words, for whoever comes next"
        missing="Say in a few words why it stays open."
        submit="Leave it so"
        onClose={onClose}
        onSay={(words) => say({ kind: "leave-open", step: current.id, words })}
      />
    );
  return (
    <NotPossibleDialog
      open={open}
      today={known.today}
      tryAgain={known.tryAgain}
      onClose={onClose}
      onTurnBack={(reason) => say({ kind: "turned-back", step: current.id, ...reason })}
      onGiveUp={open === 0 ? () => say({ kind: "stopped" }) : null}
    />
  );
}
