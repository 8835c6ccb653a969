import { sluiceHouse } from "../src/content/demo/demo-homes";
import { plainDate, addDays } from "../src/core/quantities/plain-date";
import { agendaOf, bySoonestDue } from "../src/core/register/agenda";
import { tasksOf } from "../src/content/home-tasks";
import { standingsOf } from "../src/content/standings";
const today = plainDate("2026-03-14");
const t0 = performance.now();
const { book } = sluiceHouse(today, new Date("2026-03-14T08:30:00Z"));
console.log("made", performance.now() - t0, "events", book.events.length);
const st = standingsOf(book, today);
for (let i = 0; i < 5; i++) {
  const t = performance.now();
  const tasks = tasksOf(book);
  const t1 = performance.now();
  const fresh = { ...book, events: [...book.events] };
  const a = agendaOf(fresh, tasks, st, today, addDays(today, 730));
  console.log(
    "agenda",
    t1 - t,
    performance.now() - t1,
    tasks.length,
    a.reduce((n, x) => n + x.ahead.length, 0),
  );
}
const a = agendaOf(book, tasksOf(book), st, today, addDays(today, 730)).sort(bySoonestDue);
for (const x of a.filter((x) => x.due && x.due < "2026-05-15"))
  console.log(x.state, x.opens, x.due, x.closes, x.task.id, "last", x.lastDone, x.ahead.length);
console.log(
  a
    .filter((x) => x.state === "none")
    .map((x) => x.task.id)
    .join(" "),
);
