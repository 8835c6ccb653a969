import { postBackup } from "@/features/data/backup-api";
import { route } from "@/lib/store-trouble";

export const POST = route(async () => {
  return postBackup();
});
