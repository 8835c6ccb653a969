/** npm run demo: Sluice House in a database of its own; --reset starts it afresh. */
import { existsSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { build, install, root, runBin, serve, settings, wantFree } from "./project.mjs";

const demoFile = path.join("data", "demo.db");
/** Stands beside the database once it was filled: the next start does not ask again. */
const FILLED = ".filled";
const at = (end) => path.resolve(root, `${demoFile}${end}`);

install();
const demo = settings(false);
// Before anything is reset: the server that listens may be this very demo.
await wantFree(demo);
build();
if (process.argv.includes("--reset")) {
  for (const end of ["", "-wal", "-shm", FILLED]) rmSync(at(end), { force: true });
  console.log("The demo starts afresh.");
}
// Whatever AMBER_DB names is somebody's own data: the demo never opens it.
demo.env.AMBER_DB = demoFile;
if (!existsSync(at("")) || !existsSync(at(FILLED))) {
  runBin("tsx", ["scripts/seed-demo.ts"], demo.env);
  writeFileSync(at(FILLED), "");
}
await serve(demo);
