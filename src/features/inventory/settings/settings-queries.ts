import "server-only";
import type { Setting } from "@/core/inventory/as-it-should-be";
import type { HomeSnapshot } from "@/core/history/home-snapshot";
import { dateWords } from "@/core/quantities/words";
import { settingsAt, type SettingAt } from "@/presentation/setting-words";
import { endsOfHome } from "@/core/runs/home-ends";
import { homeNow } from "@/server/snapshots/snapshot-cache";
import { now, todayIn } from "@/lib/clock";

export type SettingRow = SettingAt & {
  /** “12 October” */
  noted: string;
  /** The job that last noted it, where one did. */
  runId?: string;
};

export async function settingsPageOf(
  homeId: string,
): Promise<{ snapshot: HomeSnapshot; rows: SettingRow[] } | null> {
  const home = await homeNow(homeId);
  if (!home) return null;
  const { snapshot, recordedEnds, going } = home;
  const { parked } = endsOfHome(now().toISOString(), recordedEnds, going);
  const today = todayIn(snapshot.home.timeZone);
  const rows = settingsAt(snapshot, parked).map((setting) => ({
    ...setting,
    noted: dateWords(setting.on, today),
  }));
  return { snapshot, rows };
}

/** A line of the sheet as its form shows it. */
export const fieldsOfSetting = ({ unitId, label, value }: Setting): Record<string, string[]> => ({
  place: [unitId ?? ""],
  label: [label],
  value: [value],
});
