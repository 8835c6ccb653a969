"use server";

import { invalid, overtaken, singles, type FormState } from "@/lib/forms";
import { formCommand } from "@/server/commands/form-command";
import * as settings from "@/server/commands/settings";
import { asItShouldBe } from "@/core/inventory/as-it-should-be";
import { settingForm } from "./settings-form";
import { fieldsOfSetting } from "./settings-queries";

export async function saveSetting(
  homeId: string,
  settingId: string | null,
  previous: FormState,
  form: FormData,
): Promise<FormState> {
  return formCommand(homeId, form, async (home, typed) => {
    const before = asItShouldBe(home.snapshot.settings).find(({ id }) => id === settingId);
    const theirs = before && overtaken(previous, form, fieldsOfSetting(before));
    if (theirs) return theirs;
    const parsed = settingForm.safeParse(singles(typed));
    if (!parsed.success) return invalid(previous, typed, parsed.error);
    const { place, label, value } = parsed.data;
    await settings.saveSetting(home, settingId, {
      label,
      value,
      ...(place === "" ? {} : { unitId: place }),
    });
    return { to: `/homes/${homeId}/as-it-should-be` };
  });
}
