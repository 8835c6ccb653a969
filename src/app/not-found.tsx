import { LinkButton } from "@/ui/button";
import { UrgentLink } from "@/ui/urgent-link";

export default function NotFound() {
  return (
    <main className="mx-auto max-w-2xl px-4 py-16">
      <p className="mb-8 flex justify-end">
        <UrgentLink href="/emergency">Emergency</UrgentLink>
      </p>
      <h1 className="text-3xl">There is nothing at this address</h1>
      <p className="mt-3 mb-6 text-lg">
        It may have been removed. Removed things wait in the home’s menu and can be brought back.
      </p>
      <LinkButton weight="strong" href="/">
        Back to Today
      </LinkButton>
    </main>
  );
}
