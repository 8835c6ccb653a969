import "server-only";
import { setImmediate as othersTurn } from "node:timers/promises";
import PDFDocument from "pdfkit";
import sharp from "sharp";
import { DECISION_WORDS, VISIT_VERDICT_WORDS } from "@/content/visits";
import { READING_WORDS, VERDICT_WORDS } from "@/content/reading-words";
import { moneyWords } from "@/core/quantities/money";
import { toDay, type PlainDate } from "@/core/quantities/plain-date";
import { longDate } from "@/core/quantities/words";
import { HOUSEHOLD } from "@/core/visits/visit";
import { readPhotoBytes } from "@/server/snapshots/beside";
import { figureOf, readLines, visitOf, type ReadLine, type VisitPage } from "./visit-queries";

const INK = "#22282c";
const SECOND = "#5b6166";
const AMBER = "#7d4a00";
const MARGIN = 50;
/** Of an A4 page, points. */
const WIDTH = 595.28 - 2 * MARGIN;
const SPARK = { width: 120, height: 26 };
const PICTURE = { width: 220, height: 160 };

/** A report is read years later: its days have their year. */
const dayWords = (date: PlainDate): string => `${longDate(date)} ${date.slice(0, 4)}`;

type Doc = InstanceType<typeof PDFDocument>;

/** The report of a visit, to keep: its text can be selected, and what cannot be shown is left out. */
export async function visitReport(homeId: string, visitId: string): Promise<Uint8Array | null> {
  const page = await visitOf(homeId, visitId, HOUSEHOLD);
  if (!page) return null;
  const { snapshot, visit, row } = page;
  const doc = new PDFDocument({
    size: "A4",
    margin: MARGIN,
    info: { Title: `${snapshot.home.name}: ${row.why}` },
  });
  const chunks: Buffer[] = [];
  doc.on("data", (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<void>((resolve) => doc.on("end", () => resolve()));
  doc.font("Helvetica").fillColor(INK);
  doc.font("Helvetica-Bold").fontSize(20).text(snapshot.home.name);
  doc.font("Helvetica").fontSize(12);
  doc.text(
    [
      row.why,
      visit.on && dayWords(visit.on),
      row.who,
      visit.signedBy && `signed by ${visit.signedBy}`,
    ]
      .filter(Boolean)
      .join(", "),
  );
  if (visit.verdict) doc.text(`Left ${VISIT_VERDICT_WORDS[visit.verdict]}.`);
  if (visit.words) doc.moveDown(0.5).text(visit.words);
  const counted = [
    visit.minutes !== undefined && `${visit.minutes} minutes`,
    visit.costMinor !== undefined &&
      moneyWords({ minor: visit.costMinor, currency: snapshot.home.currency }),
  ].filter(Boolean);
  if (counted.length > 0) doc.text(counted.join(", "));
  if (visit.nextOn) doc.text(`Next appointment: ${dayWords(visit.nextOn)}`);
  for (const machine of page.units) await machineOf(doc, page, machine);
  doc.end();
  await ended;
  return new Uint8Array(Buffer.concat(chunks));
}

function heading(doc: Doc, words: string): void {
  if (doc.y > 700) doc.addPage();
  doc.moveDown(1);
  doc
    .moveTo(MARGIN, doc.y)
    .lineTo(MARGIN + WIDTH, doc.y)
    .lineWidth(2)
    .strokeColor(INK)
    .stroke();
  doc.moveDown(0.4).font("Helvetica-Bold").fontSize(14).fillColor(INK).text(words, MARGIN);
  doc.font("Helvetica").fontSize(11);
}

async function machineOf(
  doc: Doc,
  page: VisitPage,
  { unit, findings, readings }: VisitPage["units"][number],
): Promise<void> {
  const { snapshot, visit, pictures } = page;
  heading(doc, unit.name);
  const until = visit.on ?? page.today;
  const [read] = readLines(snapshot, [unit.id], until);
  const here = new Set(readings.map(({ event }) => event.id));
  for (const line of read?.lines ?? []) if (here.has(line.now.event.id)) lineOf(doc, page, line);
  for (const reading of readings) {
    const { taken, judgement } = reading;
    if (typeof taken.value === "string")
      doc.text(
        `${READING_WORDS[taken.kind].name}: ${figureOf(snapshot, reading)}, ${VERDICT_WORDS[judgement.verdict]}`,
      );
  }
  for (const finding of findings) {
    // A report of thousands of findings takes seconds: whoever asks meanwhile is answered between two of them.
    await othersTurn();
    doc.moveDown(0.4).font("Helvetica-Bold").text(`Found: ${finding.words}`).font("Helvetica");
    const price =
      finding.priceMinor === undefined
        ? undefined
        : moneyWords({ minor: finding.priceMinor, currency: snapshot.home.currency });
    if (finding.advice || price)
      doc.text(`Advised: ${[finding.advice, price].filter(Boolean).join(", ")}`);
    const watched = finding.until ? ` until ${dayWords(finding.until)}` : "";
    doc.text(`Decided: ${DECISION_WORDS[finding.decision]}${watched}`);
    if (finding.because) doc.fillColor(SECOND).text(finding.because).fillColor(INK);
    await picturesOf(
      doc,
      pictures.filter(({ findingId }) => findingId === finding.id).map(({ id }) => id),
    );
  }
}

/** One reading with those before it, and where it went as a small line. */
function lineOf(doc: Doc, { snapshot }: VisitPage, { name, now, before }: ReadLine): void {
  if (doc.y > 760) doc.addPage();
  const top = doc.y;
  const words = `${name}: ${figureOf(snapshot, now)}, ${VERDICT_WORDS[now.judgement.verdict]}`;
  const earlier = before
    .toReversed()
    .map((each) => `${figureOf(snapshot, each)} (${dayWords(each.event.date)})`)
    .join(", ");
  doc.text(words, MARGIN, top, { width: WIDTH - SPARK.width - 20 });
  if (earlier)
    doc
      .fillColor(SECOND)
      .text(`before: ${earlier}`, { width: WIDTH - SPARK.width - 20 })
      .fillColor(INK);
  const bottom = Math.max(doc.y, top + SPARK.height + 4);
  spark(doc, [...before, now], { x: MARGIN + WIDTH - SPARK.width, y: top });
  doc.x = MARGIN;
  doc.y = bottom;
}

function spark(doc: Doc, readings: ReadLine["before"], { x, y }: { x: number; y: number }): void {
  const points = readings.flatMap(({ event, taken }) =>
    typeof taken.value === "number" ? [{ day: toDay(event.date), value: taken.value }] : [],
  );
  if (points.length < 2) return;
  const [first, last] = [points[0]!.day, points.at(-1)!.day];
  const values = points.map(({ value }) => value);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const at = ({ day, value }: (typeof points)[number]) =>
    [
      x + (SPARK.width * (day - first)) / Math.max(1, last - first),
      y + SPARK.height * (1 - (value - low) / (high - low || 1)),
    ] as const;
  points.forEach((point, i) => (i === 0 ? doc.moveTo(...at(point)) : doc.lineTo(...at(point))));
  doc.lineWidth(1.5).strokeColor(INK).stroke();
  doc.circle(...at(points.at(-1)!), 3).fill(AMBER);
  doc.fillColor(INK);
}

async function picturesOf(doc: Doc, ids: readonly string[]): Promise<void> {
  for (const id of ids) {
    const bytes = await readPhotoBytes(id);
    if (!bytes || bytes.subarray(0, 5).toString("latin1") === "%PDF-") continue;
    const picture = await sharp(bytes)
      .resize(PICTURE.width * 2, PICTURE.height * 2, { fit: "inside" })
      .jpeg()
      .toBuffer();
    if (doc.y > 842 - MARGIN - PICTURE.height) doc.addPage();
    doc.moveDown(0.3).image(picture, { fit: [PICTURE.width, PICTURE.height] });
    doc.moveDown(0.3);
  }
}
