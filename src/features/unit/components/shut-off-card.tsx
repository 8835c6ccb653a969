import { SHUT_OFF_WORDS } from "@/content/words";
import type { Unit } from "@/core/register/register";

/** How the unit is shut off, in the order in which it is done. */
export function ShutOffCard({ unit }: { unit: Unit }) {
  return (
    <section
      aria-labelledby="shut-off"
      className="border-b-[5px] border-amber bg-slate px-4 py-3.5 text-on-slate"
    >
      <h2 id="shut-off" className="text-lg">
        How to shut it off
      </h2>
      {unit.shutOffs.length === 0 ? (
        <p className="mt-1">
          Not written down yet. Follow its cable and pipe away from it, then add it.
        </p>
      ) : (
        <ol className="mt-1.5 list-decimal space-y-1 pl-5">
          {unit.shutOffs.map((off) => (
            <li key={off.id}>
              {SHUT_OFF_WORDS[off.kind].name}: {off.place},{" "}
              {off.offPosition ?? SHUT_OFF_WORDS[off.kind].off}
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
