import { LinkButton } from "@/ui/button";

/** Leads to what is worth knowing before a job, or back into it while it is going on. */
export function StartLink({
  homeId,
  jobId,
  going,
  words,
}: {
  homeId: string;
  jobId: string;
  /** The run that is going on there. */
  going: string | undefined;
  words: string;
}) {
  return (
    <LinkButton
      weight="strong"
      className="grow basis-full px-6 wide:grow-0 wide:basis-auto"
      href={going ? `/runs/${going}` : `/homes/${homeId}/jobs/${jobId}/start`}
    >
      {going ? "Carry on" : words}
    </LinkButton>
  );
}
