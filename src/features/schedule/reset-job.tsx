import { Button } from "@/ui/button";

/** Gives a job back to what is usual. */
export function ResetJob({ reset }: { reset: () => Promise<void> }) {
  return (
    <form action={reset} className="border-t border-rule pt-3">
      <Button type="submit" weight="quiet" className="-ml-2">
        Back to default
      </Button>
    </form>
  );
}
