import { Link } from "@/ui/link";
import type { Unit } from "@/core/inventory/inventory";
import { ShutOffPress } from "./shut-off";

/** Over every page of a unit but its sheet: where one is, and how to shut the machine off. */
export function UnitHead({
  homeId,
  unit,
  part,
}: {
  homeId: string;
  unit: Unit;
  part: { id: string; name: string } | null;
}) {
  return (
    <div className="no-print mb-4 flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
      <nav aria-label="Where this is" className="flex flex-wrap items-center gap-x-2 text-second">
        <Link href={`/homes/${homeId}/house`} className="flex min-h-11 items-center text-link">
          House
        </Link>
        <span aria-hidden="true">›</span>
        <Link
          href={`/homes/${homeId}/units/${unit.id}`}
          className="flex min-h-11 items-center text-link"
        >
          {unit.name}
        </Link>
        {part && (
          <>
            <span aria-hidden="true">›</span>
            <Link
              href={`/homes/${homeId}/parts/${part.id}`}
              className="flex min-h-11 items-center text-link"
            >
              {part.name}
            </Link>
          </>
        )}
      </nav>
      <ShutOffPress name={unit.name} shutOffs={unit.shutOffs} />
    </div>
  );
}
