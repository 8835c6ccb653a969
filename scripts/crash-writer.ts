/** For the crash test: notes looks without end and says each one only once it is acknowledged. */
import { plainDate } from "../src/core/quantities/plain-date";
import { openStore } from "../src/db/client";
import { appendEvent } from "../src/db/repositories/history";

async function main(): Promise<void> {
  const [file = "", writer = ""] = process.argv.slice(2);
  const store = await openStore(file);
  for (let i = 0; ; i++) {
    const id = `${writer}-${i}`;
    await store.write((tx) =>
      appendEvent(tx, "sluice-house", {
        id,
        kind: "look",
        partId: "cellar-filter",
        date: plainDate("2026-03-14"),
        recordedAt: "2026-03-14T08:30:00Z",
        look: { grade: "grey" },
      }),
    );
    process.stdout.write(`${id}\n`);
  }
}

void main();
