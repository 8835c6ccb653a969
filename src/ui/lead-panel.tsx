import { Link } from "./link";

/** From something seen to what follows: what is done now, why, and where it goes on. */
export function LeadPanel({
  leads,
}: {
  leads: readonly {
    id: string;
    now?: string;
    why: string;
    links: readonly { href: string; words: string }[];
  }[];
}) {
  if (leads.length === 0) return null;
  return (
    <section
      aria-label="What it leads to"
      className="border-l-[6px] border-attention bg-wash px-4 py-3"
    >
      {leads.map(({ id, now, why, links }) => (
        <div key={id} data-lead={id} className="not-first:mt-4">
          {now && <p className="text-lg font-semibold">{now}</p>}
          <p>{why}</p>
          {links.length > 0 && (
            <ul className="mt-1 flex flex-wrap gap-x-6">
              {links.map(({ href, words }) => (
                <li key={href}>
                  <Link
                    href={href}
                    className="inline-flex min-h-11 items-center text-link underline underline-offset-4"
                  >
                    {words}
                  </Link>
                </li>
              ))}
            </ul>
          )}
        </div>
      ))}
    </section>
  );
}
