import { Link } from "@/ui/link";
import { SHUT_OFF_WORDS } from "@/content/words";
import { offWords } from "@/presentation/shut-off-words";
import { LinkButton } from "@/ui/button";
import { Gauge } from "@/ui/gauge";
import type { Selected } from "./house-queries";

/** The unit that is selected in the picture of the house. */
export function HousePanel({ homeId, selected }: { homeId: string; selected: Selected }) {
  const { unit, plate, filters, others } = selected;
  const sheet = `/homes/${homeId}/units/${unit.id}`;
  return (
    <aside
      aria-labelledby="selected"
      className="hidden flex-col gap-4 border-t-[5px] border-ink pt-3 wide:flex"
    >
      <div>
        <h2 id="selected" className="text-[1.375rem]">
          {unit.name}
        </h2>
        <p className="text-second">{plate}</p>
      </div>
      {unit.shutOffs.length > 0 && (
        <div className="border-b-[5px] border-amber bg-slate px-4 py-3 text-on-slate">
          <p className="font-semibold">How to shut it off</p>
          <ol className="list-decimal pl-5">
            {unit.shutOffs.map((off) => (
              <li key={off.id}>
                {SHUT_OFF_WORDS[off.kind]}: {off.place}, {offWords(off)}
              </li>
            ))}
          </ol>
        </div>
      )}
      <ul>
        {filters.map((filter) => (
          <li key={filter.id} className="border-b border-rule">
            <Link
              href={`/homes/${homeId}/parts/${filter.id}`}
              className="group grid grid-cols-[2rem_minmax(0,1fr)] items-center gap-x-3 py-2 no-underline"
            >
              <Gauge fill={filter.fill} label={filter.fillWords} height={40} />
              <span>
                <strong className="group-hover:underline">{filter.name}</strong>
                {filter.due && `, ${filter.due}`}
                <span className="block text-[0.9375rem] leading-snug text-second">
                  {filter.why}
                </span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <div className="flex items-center gap-4">
        <LinkButton weight="strong" href={sheet}>
          Open
        </LinkButton>
        {others > 0 && (
          <span className="text-second">
            and {others} other part{others === 1 ? "" : "s"}
          </span>
        )}
      </div>
    </aside>
  );
}
