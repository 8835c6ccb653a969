import { getBackup } from "@/features/data/backup-api";

export async function GET() {
  return getBackup();
}
