import { getBackup } from "@/features/shell/backup-api";

export async function GET() {
  return getBackup();
}
