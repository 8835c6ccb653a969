import { LinkButton } from "@/ui/button";
import { UrgentLink } from "@/ui/urgent-link";

/** What stands in the place of a home that cannot be read: which, why, and the ways on. */
export function UnreadableHome({
  name,
  why,
  others,
}: {
  name: string;
  why: string;
  others: readonly { id: string; name: string }[];
}) {
  return (
    <main id="main" className="mx-auto max-w-2xl px-4 py-4 wide:py-10">
      <p className="flex justify-end">
        <UrgentLink href="/emergency">Emergency</UrgentLink>
      </p>
      <h1 className="mt-6 text-3xl">“{name}” cannot be read</h1>
      <p className="mt-3 text-lg">
        The reason: {why}. It is kept just as it is, and nothing is written to it.
      </p>
      {others.length > 0 && (
        <>
          <h2 className="mt-8 text-xl">The others open as ever</h2>
          <ul className="mt-3 flex flex-wrap gap-3">
            {others.map((each) => (
              <li key={each.id}>
                <LinkButton href={`/homes/${each.id}`}>Go to {each.name}</LinkButton>
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="mt-8 mb-4">
        A copy made before this happened brings everything back as it was then.
      </p>
      <LinkButton weight="strong" href="/welcome#copies">
        Go back to a copy
      </LinkButton>
    </main>
  );
}
