import { cookies } from "next/headers";
import { notFound } from "next/navigation";
import { EndStrip } from "@/features/runs/loose-ends/end-strip";
import { LeftBehind } from "@/features/runs/guide/left-behind";
import { DryCall } from "@/features/runs/loose-ends/dry-call";
import { dryWaits, openNow } from "@/features/runs/loose-ends/loose-ends-queries";
import { FindBox } from "@/features/search/find-box";
import { Keys } from "@/features/shell/keys";
import { Lintel } from "@/features/timeline/lintel";
import { Masthead, ViewLinks } from "@/features/shell/masthead";
import { UnreadableHome } from "@/features/shell/unreadable-home";
import { shellOrWhy } from "@/features/timeline/shell-queries";
import { DayOrderProvider } from "@/ui/day-order";
import { EnglishProvider } from "@/ui/english";
import { KEYS_COOKIE, keysSchema, THEME_COOKIE, themeSchema } from "@/lib/theme";

export default async function HomeLayout({ children, params }: LayoutProps<"/homes/[homeId]">) {
  const { homeId } = await params;
  const shell = await shellOrWhy(homeId);
  if (!shell) notFound();
  if ("unreadable" in shell) return <UnreadableHome name={shell.unreadable} {...shell} />;
  const kept = await cookies();
  const theme = themeSchema.parse(kept.get(THEME_COOKIE)?.value);
  const keys = keysSchema.parse(kept.get(KEYS_COOKIE)?.value);
  const open = await openNow(homeId);
  return (
    <>
      <a
        href="#main"
        className="absolute -top-20 left-4 z-50 bg-ink px-4 py-2 text-ground focus:top-2"
      >
        To the page
      </a>
      <Masthead
        home={{ id: homeId, name: shell.homeName }}
        homes={shell.homes}
        theme={theme}
        keys={keys}
        find={<FindBox homeId={homeId} />}
      />
      <Lintel
        homeId={homeId}
        lintel={shell.lintel}
        pegs={shell.pegs}
        pegsPath={shell.pegsPath}
        hasRunHours={shell.hasRunHours}
      />
      <EndStrip homeId={homeId} initial={open} unitNames={shell.unitNames} />
      <DryCall waits={dryWaits(open.left, shell.unitNames)} serverNow={open.now} />
      <LeftBehind />
      <main
        id="main"
        className="mx-auto max-w-[80rem] px-4 pt-4 pb-24 has-data-bleed:max-w-none has-data-bleed:px-0 wide:px-7 wide:pb-10 wide:has-data-bleed:px-0"
      >
        <DayOrderProvider order={shell.dayOrder}>
          <EnglishProvider english={shell.english}>{children}</EnglishProvider>
        </DayOrderProvider>
      </main>
      <ViewLinks homeId={homeId} place="foot" />
      <Keys homeId={homeId} />
    </>
  );
}
