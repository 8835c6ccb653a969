import { SHUT_OFF_WORDS } from "@/content/words";
import { offWords } from "@/presentation/shut-off-words";
import type { ShutOff } from "@/core/inventory/inventory";

/** Where a machine is shut off, in the order in which it is done. */
export function ShutOffLines({ shutOffs }: { shutOffs: readonly ShutOff[] }) {
  return (
    <ol className="max-w-[34rem] list-decimal space-y-1 border-b-[5px] border-amber bg-slate py-3 pr-4 pl-9 text-on-slate">
      {shutOffs.map((off) => (
        <li key={off.id}>
          {SHUT_OFF_WORDS[off.kind]}: {off.place}, {offWords(off)}
        </li>
      ))}
    </ol>
  );
}
