/**
 * A program of its own that reads a file as the app would, before the app does: whoever starts it ends it when
 * it takes too long, and nobody else is held up or taken down by what is in the file.
 *
 * `prepare FILE` brings it to the present schema and reads every home in it; FILE is changed by that.
 * `contents FILE…` says what each holds, and changes none. One line of JSON comes for each file.
 */
import { contentsOf, inFile } from "@/db/backup";
import { foreignIn } from "@/db/own-schema";
import { prepareCopy } from "./prepare-copy";

async function main([mode, ...files]: string[]): Promise<void> {
  for (const file of files) {
    const told =
      mode === "prepare"
        ? { problem: await prepareCopy(file) }
        : {
            holds: (await inFile(file, foreignIn).catch(() => "none"))
              ? null
              : await contentsOf(file),
          };
    process.stdout.write(`${JSON.stringify(told)}\n`);
  }
}

main(process.argv.slice(2)).catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
