/** npm run dev: your own data, rebuilt as files change. */
import { install, serve, settings } from "./project.mjs";

install();
await serve(settings(), "dev");
