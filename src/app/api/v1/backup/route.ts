import { getBackup } from "@/features/data/backup-api";
import { route } from "@/lib/store-trouble";

export const GET = route(async () => {
  return getBackup();
});
