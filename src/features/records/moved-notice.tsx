import { movedBy } from "@/presentation/moved";
import { homeBook } from "@/db/home-book";
import { todayIn } from "@/lib/clock";

/** What the entry named in the address moved, as long as it is the newest of the home. */
export async function MovedNotice({
  homeId,
  noted,
}: {
  homeId: string;
  noted: string | string[] | undefined;
}) {
  const book = typeof noted === "string" ? await homeBook(homeId) : null;
  if (!book || typeof noted !== "string") return null;
  const newest = book.events.at(-1);
  const event = book.events.find(({ id }) => id === noted);
  if (!event || event.recordedAt !== newest?.recordedAt) return null;
  const lines = movedBy(book, noted, todayIn(book.home.timeZone));
  if (lines.length === 0) return null;
  return (
    <div role="status" className="mb-4 border-l-4 border-ink bg-surface px-4 py-2.5">
      {lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
    </div>
  );
}
