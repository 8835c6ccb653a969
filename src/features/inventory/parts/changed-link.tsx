import { LinkButton } from "@/ui/button";

export function ChangedLink({
  homeId,
  slotId,
  strong,
}: {
  homeId: string;
  slotId: string;
  strong: boolean;
}) {
  return (
    <LinkButton
      weight={strong ? "strong" : "plain"}
      href={`/homes/${homeId}/parts/${slotId}/changed`}
    >
      Note it done
    </LinkButton>
  );
}
