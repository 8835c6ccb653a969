import { Link } from "./link";

/** What is reached from every page in one press, in the same place and the same colours. */
export function UrgentLink({ href, children }: { href: string; children: string }) {
  return (
    <Link
      href={href}
      className="inline-flex min-h-11 shrink-0 items-center border-b-4 border-attention bg-wash px-2.5 font-semibold text-ink no-underline wide:px-4"
    >
      {children}
    </Link>
  );
}
