import "server-only";
import { randomUUID } from "node:crypto";
import { asItShouldBe, type NotedSetting } from "@/core/inventory/as-it-should-be";
import { insertSetting } from "@/db/repositories/settings";
import { createdAt, type OpenHome } from "./home-command";

/** What somebody says of a line of the sheet. */
export type SettingChange = { unitId?: string; label: string; value: string };

/**
 * Adds a line to the sheet of how things should be, or says one anew; a line that is changed keeps its
 * place and its key, so that jobs find it again.
 *
 * @returns false where the home has no such line or machine
 */
export async function saveSetting(
  home: OpenHome,
  settingId: string | null,
  { unitId, label, value }: SettingChange,
): Promise<boolean> {
  const { tx, homeId, snapshot, today } = home;
  const before = asItShouldBe(snapshot.settings).find(({ id }) => id === settingId);
  if (settingId !== null && !before) return false;
  if (unitId !== undefined && !snapshot.units.some(({ id }) => id === unitId)) return false;
  const own: Pick<NotedSetting, "unitId" | "partId" | "key"> = before ?? {
    key: randomUUID(),
    ...(unitId === undefined ? {} : { unitId }),
  };
  const { key, partId } = own;
  const place = {
    ...(own.unitId === undefined ? {} : { unitId: own.unitId }),
    ...(partId === undefined ? {} : { partId }),
  };
  const note = { id: randomUUID(), key, ...place, label, value, on: today };
  await insertSetting(tx, homeId, note, createdAt(home));
  return true;
}
