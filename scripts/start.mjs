/** npm start: your own data. */
import { build, install, serve, settings } from "./project.mjs";

install();
const own = settings();
build();
await serve(own);
