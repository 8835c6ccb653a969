/** npm start: your own data. */
import { build, install, serve, settings } from "./project.mjs";

install();
build();
await serve(settings());
