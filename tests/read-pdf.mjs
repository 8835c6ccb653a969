/** Prints the text of a PDF, as a reader that knows nothing of us finds it. */
import { readFileSync } from "node:fs";
import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";

const data = new Uint8Array(readFileSync(process.argv[2]));
const pdf = await getDocument({ data }).promise;
for (let i = 1; i <= pdf.numPages; i++) {
  const { items } = await (await pdf.getPage(i)).getTextContent();
  console.log(items.map((item) => item.str).join(" "));
}
