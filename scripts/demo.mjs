/** npm run demo: Sluice House in a database of its own; --reset starts it afresh. */
import { rmSync } from "node:fs";
import path from "node:path";
import { build, install, root, runBin, serve, settings, wantFree } from "./project.mjs";

const demoFile = path.join("data", "demo.db");

install();
const demo = settings();
// Before anything is reset: the server that listens may be this very demo.
await wantFree(demo);
build();
if (process.argv.includes("--reset")) {
  for (const end of ["", "-wal", "-shm"])
    rmSync(path.resolve(root, `${demoFile}${end}`), { force: true });
  console.log("The demo starts afresh.");
}
// Whatever AMBER_DB names is somebody's own data: the demo never opens it.
demo.env.AMBER_DB = demoFile;
runBin("tsx", ["scripts/seed-demo.ts"], demo.env);
await serve(demo);
