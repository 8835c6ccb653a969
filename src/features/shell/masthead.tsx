"use client";

import { ChevronDown } from "lucide-react";
import { Link } from "@/ui/link";
import { UrgentLink } from "@/ui/urgent-link";
import { usePathname } from "next/navigation";
import { DropdownMenu } from "radix-ui";
import type { Keys, Theme } from "@/lib/theme";
import type { ReactNode } from "react";
import { chooseKeys, chooseTheme } from "./shell-actions";

type HomeLink = { id: string; name: string };

const ITEM =
  "flex min-h-11 items-center px-4 outline-none data-highlighted:bg-ink data-highlighted:text-ground cursor-pointer no-underline";

type MastheadProps = {
  home: HomeLink;
  homes: HomeLink[];
  theme: Theme;
  /** Whether keys of one letter do something. */
  keys: Keys;
  find: ReactNode;
};

export function Masthead({ home, homes, theme, keys, find }: MastheadProps) {
  return (
    <header className="no-print flex h-12 items-center gap-3 px-4 wide:h-14 wide:gap-6 wide:px-7">
      {/* In the hand there is room for the home, the search and the way out, and for no name of ours. */}
      <Link
        href={`/homes/${home.id}`}
        className="font-display text-xl font-bold no-underline max-wide:sr-only"
      >
        Amber <span className="text-attention-text">Lintel</span>
      </Link>
      <ViewLinks homeId={home.id} place="top" />
      <div className="flex min-w-0 grow items-center gap-3 wide:ml-auto wide:grow-0 wide:gap-6">
        <HomeMenu {...{ home, homes, theme, keys }} />
        {find}
        <UrgentLink href={`/emergency/${home.id}`}>Emergency</UrgentLink>
      </div>
    </header>
  );
}

const viewsOf = (homeId: string) => [
  { href: `/homes/${homeId}`, name: "Today" },
  { href: `/homes/${homeId}/house`, name: "House" },
  { href: `/homes/${homeId}/year`, name: "Year" },
];

/** In the hand there is no key to press: a look is one press away at the foot. */
const noteOf = (homeId: string) => ({ href: `/homes/${homeId}/look`, name: "Note" });
const noticedOf = (homeId: string) => ({ href: `/homes/${homeId}/noticed`, name: "Noticed" });

/** The views in plain words: in one row above the beam, or at a phone's foot. */
export function ViewLinks({ homeId, place }: { homeId: string; place: "top" | "foot" }) {
  const path = usePathname();
  const isHere = (href: string, name: string) =>
    name === "House"
      ? path === href || path.includes("/units/") || path.includes("/parts/")
      : name === "Year"
        ? path === href || path.startsWith(`${href}/`)
        : path === href;
  const views = viewsOf(homeId);
  return (
    <nav
      aria-label="Views"
      data-place={place}
      className="no-print data-[place=foot]:fixed data-[place=foot]:inset-x-0 data-[place=foot]:bottom-0 data-[place=foot]:z-30 data-[place=foot]:border-t-[5px] data-[place=foot]:border-ink data-[place=foot]:bg-surface data-[place=top]:hidden wide:data-[place=foot]:hidden wide:data-[place=top]:block"
    >
      <ul className="flex h-12 gap-2 wide:h-14">
        {[...views, ...(place === "foot" ? [noteOf(homeId)] : []), noticedOf(homeId)].map(
          ({ href, name }) => (
            <li key={name} className={place === "foot" ? "grow" : ""}>
              <Link
                href={href}
                aria-current={isHere(href, name) ? "page" : undefined}
                className="flex h-full items-center justify-center border-b-[5px] border-transparent px-3 text-[1.0625rem] text-second no-underline aria-[current=page]:border-attention aria-[current=page]:font-semibold aria-[current=page]:text-ink"
              >
                {name}
              </Link>
            </li>
          ),
        )}
      </ul>
    </nav>
  );
}

const SAVE_COPY = "save-a-copy";

function HomeMenu({ home, homes, theme, keys }: Omit<MastheadProps, "find">) {
  const pages = [
    { href: `/homes/${home.id}/units/new`, name: "Add a unit" },
    { href: `/emergency/${home.id}`, name: "Emergency" },
    { href: `/homes/${home.id}/shut-offs`, name: "How to shut things off" },
    { href: `/homes/${home.id}/as-it-should-be`, name: "As it should be" },
    { href: `/homes/${home.id}/visits`, name: "Technician’s visits" },
    { href: `/homes/${home.id}/watch`, name: "On watch" },
    { href: `/homes/${home.id}/breakdowns`, name: "Breakdowns" },
    { href: `/homes/${home.id}/jobs`, name: "Jobs that come round" },
    { href: `/homes/${home.id}/procedures`, name: "How each job is done" },
    { href: `/homes/${home.id}/tools`, name: "Tools and consumables" },
    { href: `/homes/${home.id}/household`, name: "People and surroundings" },
    { href: `/homes/${home.id}/rooms`, name: "Rooms and registers" },
    { href: `/homes/${home.id}/systems`, name: "Air systems" },
    { href: `/homes/${home.id}/contacts`, name: "Contacts" },
    { href: `/homes/${home.id}/edit`, name: "Home and climate" },
    { href: `/homes/${home.id}/removed`, name: "Removed things" },
    { href: "/homes/new", name: "Add another home" },
  ];
  return (
    <>
      {/* It stays on the page when the menu has gone: the press sends it. */}
      <form id={SAVE_COPY} action="/api/v1/backup" method="post" />
      <DropdownMenu.Root>
        <DropdownMenu.Trigger className="mr-auto flex min-h-11 min-w-0 items-center gap-2 font-semibold max-wide:text-lg">
          <span className="truncate">{home.name}</span>
          <ChevronDown aria-hidden="true" strokeWidth={3} className="size-4 shrink-0 text-second" />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="end"
            sideOffset={4}
            className="z-50 max-h-[var(--radix-dropdown-menu-content-available-height)] min-w-60 overflow-y-auto border-2 border-ink bg-surface py-1"
          >
            {homes
              .filter((each) => each.id !== home.id)
              .map((each) => (
                <DropdownMenu.Item key={each.id} asChild>
                  <Link href={`/homes/${each.id}`} className={ITEM}>
                    Go to {each.name}
                  </Link>
                </DropdownMenu.Item>
              ))}
            {pages.map(({ href, name }) => (
              <DropdownMenu.Item key={href} asChild>
                <Link href={href} className={ITEM}>
                  {name}
                </Link>
              </DropdownMenu.Item>
            ))}
            <DropdownMenu.Item asChild>
              <button
                type="submit"
                form={SAVE_COPY}
                className={`${ITEM} w-full cursor-pointer text-left`}
              >
                Save a copy of everything
              </button>
            </DropdownMenu.Item>
            <DropdownMenu.Item asChild>
              <a href={`/api/v1/homes/${home.id}/readings`} download className={ITEM}>
                Export the readings as a table
              </a>
            </DropdownMenu.Item>
            <DropdownMenu.Item asChild>
              <Link href="/welcome#copies" className={ITEM}>
                Go back to a copy
              </Link>
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="my-1 border-t border-rule" />
            <DropdownMenu.RadioGroup
              value={theme}
              onValueChange={(value) => void chooseTheme(value)}
            >
              {[
                { value: "auto", name: "Light or dark by the device" },
                { value: "light", name: "Light" },
                { value: "dark", name: "Dark, for below ground" },
              ].map(({ value, name }) => (
                <DropdownMenu.RadioItem key={value} value={value} className={`${ITEM} pl-9`}>
                  <DropdownMenu.ItemIndicator className="-ml-5 w-5">
                    <span aria-hidden="true">■</span>
                  </DropdownMenu.ItemIndicator>
                  {name}
                </DropdownMenu.RadioItem>
              ))}
            </DropdownMenu.RadioGroup>
            <DropdownMenu.Separator className="my-1 border-t border-rule" />
            <DropdownMenu.CheckboxItem
              checked={keys === "on"}
              onCheckedChange={(on) => void chooseKeys(on ? "on" : "off")}
              className={`${ITEM} pl-9`}
            >
              <DropdownMenu.ItemIndicator className="-ml-5 w-5">
                <span aria-hidden="true">■</span>
              </DropdownMenu.ItemIndicator>
              Keys of one letter
            </DropdownMenu.CheckboxItem>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </>
  );
}
