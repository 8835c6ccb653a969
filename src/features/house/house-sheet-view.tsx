import { Link } from "@/ui/link";
import { Pictures } from "@/ui/picture";
import { CONTACT_ROLE_WORDS, MAIN_WORDS, SHUT_OFF_WORDS } from "@/content/words";
import { OFF_UNKNOWN, offWords } from "@/presentation/shut-off-words";
import { MAINS, type Unit } from "@/core/inventory/inventory";
import type { HouseSheet } from "./house-sheet-queries";

/** How every machine of the house is shut off: to print and hang inside a cupboard door. */
export function HouseSheetView({
  sheet: { home, pictures, levels, contacts },
}: {
  sheet: HouseSheet;
}) {
  return (
    <article className="max-w-4xl">
      <h1 className="text-[1.75rem]">{home.name}: how to shut things off</h1>
      <p className="mt-2 border-l-4 border-attention pl-4">
        Smell of gas: touch no switch, leave, call from outside. Alarm for carbon monoxide: everyone
        out, then call.{" "}
        <Link
          href={`/emergency/${home.id}`}
          className="no-print text-link underline underline-offset-4"
        >
          What is it? What to do now
        </Link>
      </p>
      {contacts.length > 0 && (
        <ul className="mt-3 flex flex-wrap gap-x-8 gap-y-1">
          {contacts.map((contact) => (
            <li key={contact.id}>
              {CONTACT_ROLE_WORDS[contact.role]}: {contact.name},{" "}
              <strong className="figures">{contact.phone}</strong>
            </li>
          ))}
        </ul>
      )}
      <section className="mt-5 break-inside-avoid">
        <h2 className="border-b-[3px] border-ink text-lg">The whole house</h2>
        <ul>
          {MAINS.map((main) => (
            <MainRow
              key={main}
              name={MAIN_WORDS[main]}
              main={home.mains?.[main]}
              pictures={pictures[main]}
              edit={`/homes/${home.id}/edit`}
            />
          ))}
        </ul>
      </section>
      {levels.map(({ level, units }) => (
        <section key={level.id} className="mt-5 break-inside-avoid">
          <h2 className="border-b-[3px] border-ink text-lg">{level.name}</h2>
          <ul>
            {units.map(({ unit, room }) => (
              <Row
                key={unit.id}
                {...{ unit, room }}
                edit={`/homes/${home.id}/units/${unit.id}/edit`}
              />
            ))}
          </ul>
        </section>
      ))}
      {levels.length === 0 && (
        <p className="mt-5 text-second">No machine has been entered yet that could be shut off.</p>
      )}
    </article>
  );
}

const ROW =
  "grid break-inside-avoid gap-x-6 border-b border-rule py-2 wide:grid-cols-[14rem_minmax(0,1fr)] print:grid-cols-[14rem_minmax(0,1fr)]";

/** A gap on the sheet: on paper a reminder, on screen the way to fill it. */
function NotNoted({ edit }: { edit: string }) {
  return (
    <p className="text-second">
      not noted: find out and{" "}
      <Link href={edit} className="text-link underline underline-offset-4 print:no-underline">
        write it here
      </Link>
    </p>
  );
}

function MainRow({
  name,
  main,
  pictures,
  edit,
}: {
  name: string;
  pictures: readonly { id: string }[];
  main: { place: string; offPosition?: string } | undefined;
  edit: string;
}) {
  return (
    <li className={ROW}>
      <strong>{name}</strong>
      <div className="flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
        {main?.place ? (
          <p>
            {main.place}, <strong>{main.offPosition ?? OFF_UNKNOWN}</strong>
          </p>
        ) : (
          <NotNoted edit={edit} />
        )}
        <Pictures pictures={pictures} of={name} />
      </div>
    </li>
  );
}

function Row({ unit, room, edit }: { unit: Unit; room: string | undefined; edit: string }) {
  return (
    <li className={ROW}>
      <div>
        <strong>{unit.name}</strong>
        {room && <span className="text-second">, {room}</span>}
        {unit.access && <p className="text-[0.9375rem] text-second">{unit.access}</p>}
      </div>
      {unit.shutOffs.length === 0 ? (
        <NotNoted edit={edit} />
      ) : (
        <ol className="list-decimal pl-5">
          {unit.shutOffs.map((off) => (
            <li key={off.id}>
              {SHUT_OFF_WORDS[off.kind]}: {off.place}, <strong>{offWords(off)}</strong>
            </li>
          ))}
        </ol>
      )}
    </li>
  );
}
