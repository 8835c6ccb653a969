import { todayIn } from "@/lib/clock";
import { listHomes } from "./beside";
import { homeNow, scheduleNow } from "./snapshot-cache";

/**
 * Reads the home that a start leads to and works out its jobs: nobody’s first page waits for its whole record. What
 * can’t be read is said by its pages.
 */
export async function readFirstHome(): Promise<void> {
  try {
    const [first] = await listHomes();
    const read = first ? await homeNow(first.id) : null;
    if (read) scheduleNow(read.snapshot, todayIn(read.snapshot.home.timeZone));
  } catch (error) {
    console.error(error);
  }
}
