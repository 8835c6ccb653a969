"use client";

import { useRouter } from "next/navigation";
import { MAIN_WORDS } from "@/content/words";
import { mainPicture } from "@/core/inventory/first-walk";
import type { Main } from "@/core/inventory/inventory";
import { inSentence } from "@/core/quantities/words";
import { newId } from "@/run-client/new-id";
import { TextField } from "@/ui/field";
import { PicturePress } from "@/ui/picture";
import { Form, type FormAction } from "@/ui/form";
import { ofSingles, emptyForm } from "@/lib/forms";

/** The number that was missing: typed once, pressed from then on. */
export function NumberForm({ action, label }: { action: FormAction; label: string }) {
  return (
    <Form
      action={action}
      initial={emptyForm({})}
      schema={() => import("./number-form").then(({ numberForm }) => ofSingles(numberForm))}
      submit="Keep this number"
      stays={false}
    >
      <TextField
        label={label}
        name="phone"
        type="tel"
        autoComplete="off"
        className="figures min-h-14 text-[1.5rem]"
      />
    </Form>
  );
}

/** Where a main is shut, as long as nobody wrote it down. */
export function MainForm({ action, label }: { action: FormAction; label: string }) {
  return (
    <Form
      action={action}
      initial={emptyForm({})}
      schema={() => import("./number-form").then(({ mainForm }) => ofSingles(mainForm))}
      submit="Keep this"
      stays={false}
    >
      <TextField label={label} name="place" className="min-h-12" />
      <TextField label="Which position is off" name="off" className="min-h-12" />
    </Form>
  );
}

/** A picture says where a main is faster than words do. */
export function MainPicture({ homeId, main }: { homeId: string; main: Main }) {
  const router = useRouter();
  return (
    <PicturePress
      to={`/api/v1/homes/${homeId}/photos`}
      about={{ stop: mainPicture(main) }}
      newId={newId}
      words={`Take a picture of the ${inSentence(MAIN_WORDS[main])}`}
      onTaken={() => router.refresh()}
    />
  );
}
