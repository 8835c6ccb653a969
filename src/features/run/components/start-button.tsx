import { Button } from "@/ui/button";
import { startRun } from "../run-actions";

/** Begins a slot's job, or goes on with it. */
export function StartButton({
  homeId,
  slotId,
  words,
}: {
  homeId: string;
  slotId: string;
  words: string;
}) {
  return (
    <form action={startRun} className="grow basis-full wide:grow-0 wide:basis-auto">
      <input type="hidden" name="homeId" value={homeId} />
      <input type="hidden" name="slotId" value={slotId} />
      <Button type="submit" weight="strong" className="w-full px-6 wide:w-auto">
        {words}
      </Button>
    </form>
  );
}
